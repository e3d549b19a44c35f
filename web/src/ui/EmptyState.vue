<script setup lang="ts">
/** What will be here, and in the slot the one next thing to do. */
defineProps<{ says: string }>()
</script>

<template>
  <div class="pad-4 edge">
    <p class="readable t-lead">{{ says }}</p>
    <div v-if="$slots.default" class="mt-3"><slot /></div>
  </div>
</template>
