<script setup lang="ts">
import { useUndo } from './undo'

const undo = useUndo()
</script>

<template>
  <div class="undo no-print" role="status" aria-live="polite">
    <template v-if="undo.said">
      <span>{{ undo.said }}</span>
      <button v-if="undo.canUndo" class="link" type="button" @click="undo.undo()">Undo</button>
      <button class="quiet" type="button" aria-label="Close" @click="undo.forget()">×</button>
    </template>
  </div>
</template>

<style scoped>
.undo {
  position: fixed;
  left: var(--edge);
  bottom: 14px;
  z-index: 30;
  display: flex;
  gap: 16px;
  align-items: baseline;
  max-width: 620px;
}
.undo:not(:empty) {
  background: var(--paper);
  border: 1px solid var(--ink);
  border-radius: 2px;
  padding: 8px 14px;
}
.undo:empty {
  display: none;
}
</style>
