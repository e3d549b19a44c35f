<script setup lang="ts">
import { ref } from 'vue'
import { useFocusOfDialog } from './focus'

/** Something over the page that is asked and left again: the focus goes into it, stays in it and comes back. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  label: string
  /** Whether it hangs in the corner that it is called from. */
  corner?: boolean
  /** What the focus goes to; else the box. */
  into?: () => HTMLElement | null | undefined
}>()
const box = ref<HTMLElement>()
useFocusOfDialog(open, () => props.into?.() ?? box.value)
</script>

<template>
  <v-dialog
    v-model="open"
    :class="{ corner }"
    width="460"
    :scrim="false"
    :transition="false"
    :location="corner ? 'top right' : undefined"
    :aria-label="label"
  >
    <div ref="box" class="box papered scrolls" tabindex="-1"><slot /></div>
  </v-dialog>
</template>

<style scoped>
.box {
  border: var(--ink-line);
  box-shadow: var(--menu-shadow);
  padding: var(--s4) var(--s5);
  max-height: 84vh;
  font-size: var(--text);
  line-height: 1.4;
  letter-spacing: 0;
}
.corner {
  align-items: flex-start;
  justify-content: flex-end;
  padding-top: var(--header);
}
</style>
