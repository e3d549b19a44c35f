<script setup lang="ts">
import type { Choice } from '@/api/types'

/** The marks for keeping, changing and dropping a target or a part of one. */
defineProps<{ choice: Choice; fixed?: boolean; small?: boolean }>()
defineEmits<{ keep: []; edit: []; drop: [] }>()
</script>

<template>
  <span class="marks flow gap-2 to-end" :class="{ small }">
    <button
      class="hand soft"
      type="button"
      :aria-pressed="choice.state === 'kept'"
      title="Keep (Space)"
      @click.stop="$emit('keep')"
    >
      <span class="unseen">Keep</span>✓
    </button>
    <button
      v-if="!fixed"
      class="hand soft"
      type="button"
      :aria-pressed="choice.state === 'changed'"
      title="Change (c)"
      @click.stop="$emit('edit')"
    >
      <span class="unseen">Change</span>±
    </button>
    <button
      class="hand soft"
      type="button"
      :aria-pressed="choice.state === 'dropped'"
      title="Drop (Delete)"
      @click.stop="$emit('drop')"
    >
      <span class="unseen">Drop</span>×
    </button>
  </span>
</template>

<style scoped>
button {
  width: var(--w4);
  height: var(--w4);
  background: none;
  border: var(--line);
  border-radius: var(--corner);
}
.small button {
  height: var(--w3);
  line-height: 1;
}
button:hover:not(:disabled) {
  border-color: var(--ink);
  color: var(--ink);
}
button:disabled {
  cursor: default;
  opacity: 0.35;
}
[aria-pressed='true'] {
  border: var(--thick-line);
  color: var(--ink);
  font-weight: 600;
}
</style>
