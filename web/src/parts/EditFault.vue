<script setup lang="ts">
/** Why an edit failed; one that was refused for a change elsewhere can be saved again over it. */
defineProps<{ fault: Error | null | undefined; again?: () => Promise<unknown> }>()
</script>

<template>
  <p v-if="fault" class="mistake" role="alert">
    {{ fault.message }}
    <button v-if="again" class="link" type="button" name="save-again" @click="again()">Save again</button>
  </p>
</template>
