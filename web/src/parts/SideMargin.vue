<script setup lang="ts">
/** The margin at the right of a stop, which opens on what is asked about a figure. */
defineProps<{ title: string; label: string }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <aside class="margin" :aria-label="label">
    <header>
      <h2>{{ title }}</h2>
      <button class="quiet close" type="button" aria-label="Close" @click="$emit('close')">×</button>
    </header>
    <div class="body" tabindex="0"><slot /></div>
    <footer v-if="$slots.foot" class="soft"><slot name="foot" /></footer>
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
  display: flex;
  flex-direction: column;
  background: var(--paper);
  border-left: 1px solid var(--ink);
  box-shadow: -6px 0 16px rgb(0 0 0 / 7%);
}
header {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 12px 18px 10px;
  border-bottom: 1px solid var(--rule);
}
h2 {
  font-size: 16px;
  margin: 0;
}
.close {
  font-size: 18px;
  line-height: 1;
}
.body {
  flex: 1;
  overflow: auto;
  padding: 4px 18px 20px;
}
footer {
  padding: 9px 18px;
  border-top: 1px solid var(--rule);
}
@media (max-width: 900px) {
  .margin {
    width: 100%;
  }
}
</style>
