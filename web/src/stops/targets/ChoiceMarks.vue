<script setup lang="ts">
import type { Choice } from '@/api/types'

/** The marks for keeping, changing and dropping a target or a part of one. */
defineProps<{ choice: Choice; fixed?: boolean; small?: boolean }>()
defineEmits<{ keep: []; edit: []; drop: [] }>()
</script>

<template>
  <span class="marks" :class="{ small }">
    <button
      type="button"
      :aria-pressed="choice.state === 'kept'"
      title="Keep (Space)"
      @click.stop="$emit('keep')"
    >
      <span class="unseen">Keep</span>✓
    </button>
    <button
      v-if="!fixed"
      type="button"
      :aria-pressed="choice.state === 'changed'"
      title="Change (c)"
      @click.stop="$emit('edit')"
    >
      <span class="unseen">Change</span>±
    </button>
    <button
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
.marks {
  display: flex;
  gap: 6px;
  justify-content: flex-end;
}
button {
  width: 28px;
  height: 26px;
  background: none;
  border: 1px solid var(--rule);
  border-radius: 2px;
  cursor: pointer;
  color: var(--ink-soft);
}
.small button {
  height: 22px;
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
  border: 2px solid var(--ink);
  color: var(--ink);
  font-weight: 600;
}
</style>
