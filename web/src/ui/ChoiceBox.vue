<script setup lang="ts" generic="V extends string | number">
import type { Choice } from './choices'

/** One of some values, by name. A value that is none of them is shown as it is. */
const value = defineModel<V>({ required: true })
const props = defineProps<{
  label: string
  options: readonly Choice<V>[]
  /** What stands there as long as nothing is chosen; then nothing can be chosen again. */
  asks?: string
}>()
function choose(event: Event) {
  const at = (event.target as HTMLSelectElement).selectedIndex - (props.asks ? 1 : 0)
  const option = props.options[at]
  if (option) value.value = option.value
}
</script>

<template>
  <select :value="asks ? '' : value" :aria-label="label" :class="{ pencil: asks }" @change="choose">
    <option v-if="asks" value="" disabled>{{ asks }}</option>
    <option v-for="o in options" :key="o.value" :value="o.value">{{ o.says }}</option>
  </select>
</template>
