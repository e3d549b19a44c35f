<script setup lang="ts">
import { useUndo } from './undo'

/** The line at the foot of the page that tells the last change and takes it back. */
const undo = useUndo()
</script>

<template>
  <div class="undo no-print" role="status" aria-live="polite">
    <template v-if="undo.said">
      <span class="says">{{ undo.said }}</span>
      <button v-if="undo.offered" class="link" type="button" @click="undo.undo()">
        Undo <span class="kbd">Ctrl Z</span>
      </button>
      <button class="quiet close" type="button" aria-label="Close" @click="undo.forget()">×</button>
    </template>
  </div>
</template>

<style scoped>
/* It stands at the end of the page, and at the foot of the window while there is more to scroll. */
.undo {
  position: sticky;
  bottom: 0;
  z-index: 30;
  display: flex;
  gap: 16px;
  align-items: baseline;
}
.undo:not(:empty) {
  background: var(--paper);
  border-top: 2px solid var(--ink);
  padding: 8px var(--edge);
}
.undo:empty {
  display: none;
}
.says {
  min-width: 0;
  overflow-wrap: anywhere;
}
.close {
  margin-left: auto;
}
</style>
