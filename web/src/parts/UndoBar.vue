<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useUndo } from './undo'

/** The line at the foot of the page that tells the last change and takes it back. */
const undo = useUndo()
</script>

<template>
  <div class="undo no-print flow gap-4 on-base" role="status" aria-live="polite">
    <template v-if="undo.said">
      <span class="says slim anywhere">{{ undo.said }}</span>
      <ActionButton v-if="undo.offered" quiet @click="undo.undo()">
        Undo <span class="kbd">Ctrl Z</span>
      </ActionButton>
      <button class="quiet close push" type="button" aria-label="Close" @click="undo.forget()">×</button>
    </template>
  </div>
</template>

<style scoped>
/* It stands at the end of the page, and at the foot of the window while there is more to scroll. */
.undo {
  position: sticky;
  bottom: 0;
  z-index: 30;
}
.undo:not(:empty) {
  background: var(--paper);
  border-top: var(--thick-line);
  padding: var(--s2) var(--edge);
}
.undo:empty {
  display: none;
}
</style>
