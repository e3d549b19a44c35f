<script setup lang="ts">
/** A cell of the sheet. Every figure can be opened: the whole cell is its button, but for one that tells all. */
defineProps<{ at?: boolean; plain?: boolean; stacked?: boolean }>()
</script>

<template>
  <component
    :is="plain ? 'span' : 'button'"
    class="cell num"
    :class="{ at, stacked, hand: !plain }"
    :type="plain ? undefined : 'button'"
  >
    <slot />
  </component>
</template>

<style scoped>
.cell {
  display: flex;
  align-items: center;
  gap: var(--s2);
  width: 100%;
  height: 100%;
  min-height: calc(var(--row) - var(--s0));
  padding: 0 var(--s2);
  background: none;
  border: 0;
  text-align: left;
  overflow: hidden;
}
.stacked {
  flex-direction: column;
  align-items: flex-start;
  justify-content: center;
  gap: var(--s1);
}
button:hover {
  background: rgb(var(--v-theme-pencil-wash), 0.6);
}
.at {
  box-shadow: inset 0 calc(-1 * var(--s1)) 0 var(--pencil);
}
.cell:focus-visible {
  outline-offset: calc(-1 * var(--thick));
}
</style>
