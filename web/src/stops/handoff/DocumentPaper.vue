<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'

/**
 * A document as it is written: the file itself, in a tree of its own, so that its styles are its own. It is text that
 * the program wrote; nothing in it runs.
 */
const props = defineProps<{ html: string; label: string }>()
const host = ref<HTMLElement>()

function draw() {
  const root = host.value?.shadowRoot ?? host.value?.attachShadow({ mode: 'open' })
  if (!root) return
  const read = new DOMParser().parseFromString(props.html, 'text/html')
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(read.querySelector('style')?.textContent ?? '')
  root.adoptedStyleSheets = [sheet]
  root.replaceChildren(...[...read.body.childNodes].map((node) => document.importNode(node, true)))
}
onMounted(draw)
watch(() => props.html, draw, { flush: 'post' })
</script>

<template>
  <article ref="host" class="written" :aria-label="label" data-document></article>
</template>

<style scoped>
.written {
  display: block;
  border: var(--line);
  margin: 0 auto;
  max-width: var(--w130);
  background: rgb(var(--v-theme-surface));
}
@media print {
  .written {
    border: 0;
    max-width: none;
  }
}
</style>
