<script setup lang="ts">
/** A field of one line with what it is above it; what else is given goes to the field. */
defineOptions({ inheritAttrs: false })
defineProps<{ label: string; mono?: boolean }>()
const value = defineModel<string>({ required: true })
</script>

<template>
  <label class="as-block soft">
    {{ label }}
    <input v-bind="$attrs" v-model="value" class="field" :class="{ mono }" />
  </label>
</template>
