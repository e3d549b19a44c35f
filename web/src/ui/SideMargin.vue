<script setup lang="ts">
import { ref } from 'vue'
import { useFocusInto } from './focus'

/**
 * The margin at the right of a stop, which opens on what is asked about a figure and takes the focus. What stands
 * under its title stays while its text is scrolled.
 */
const props = defineProps<{ title: string; label: string; shows?: () => unknown }>()
defineEmits<{ close: [] }>()
const root = ref<HTMLElement>()
const body = ref<HTMLElement>()
useFocusInto(root, () => props.shows?.())
defineExpose({ body })
</script>

<template>
  <aside ref="root" class="margin stacked papered" :aria-label="label">
    <header class="pad-3 sides-4 line-below">
      <div class="flow apart gap-2">
        <h2 class="flush" tabindex="-1">{{ title }}</h2>
        <button class="quiet t-head" type="button" aria-label="Close" @click="$emit('close')">×</button>
      </div>
      <slot name="head" />
    </header>
    <div ref="body" class="grow scrolls pad-3 sides-4" tabindex="0"><slot /></div>
    <footer v-if="$slots.foot" class="soft pad-2 sides-4 line-above"><slot name="foot" /></footer>
  </aside>
</template>

<style scoped>
.margin {
  position: fixed;
  top: calc(var(--header) + var(--strip));
  right: 0;
  bottom: 0;
  width: var(--margin);
  z-index: 15;
  border-left: var(--ink-line);
  box-shadow: var(--margin-shadow);
}
/* What stands first has room above it already. */
.margin :deep(section:first-child > h3) {
  margin-top: 0;
}
@media (max-width: 760px) {
  .margin {
    width: 100%;
  }
}
</style>
