<script setup lang="ts">
defineEmits<{ close: [] }>()

const keys: [string, string][] = [
  ['1 to 5', 'go to a stop'],
  ['m', 'measure: read all pages again'],
  ['Ctrl K', 'find a client or a stop'],
  ['n, p', 'next and previous match in the evidence'],
  ['w', 'judge words in the phrase book'],
  ['1 to 5', 'in the words to judge: say what a word is'],
  ['j, k', 'next and previous target or word'],
  ['o, i', 'open the target, show how its gain was worked out'],
  ['y, e, x', 'keep, change or drop the target, or the part at hand'],
  ['a, l', 'add a target, compare rival by rival'],
  ['Ctrl Z', 'undo the last change'],
  ['Esc', 'close the panel'],
  ['?', 'this help'],
]
</script>

<template>
  <aside class="help" aria-label="Keyboard shortcuts">
    <header>
      <h2>Keyboard shortcuts</h2>
      <button class="quiet" type="button" aria-label="Close" @click="$emit('close')">×</button>
    </header>
    <dl>
      <template v-for="[key, what] in keys" :key="key">
        <dt>
          <span class="kbd">{{ key }}</span>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <h2>Signs</h2>
    <p>
      One stroke is 100 words, a crossed bundle is 500. Ink is what is on the page, pencil is what is still to
      be written.
    </p>
    <p>
      A solid square: the phrase is there, word for word. A half square: the words are there, but not as one
      phrase. A pencil outline: wanted and missing.
    </p>
    <h2>API</h2>
    <p>Everything here is also available through <a href="/api.html">the API</a>.</p>
  </aside>
</template>

<style scoped>
.help {
  position: fixed;
  right: 0;
  top: var(--header);
  bottom: 0;
  width: var(--margin);
  z-index: 25;
  background: var(--paper);
  border-left: 1px solid var(--ink);
  box-shadow: -6px 0 16px rgb(0 0 0 / 8%);
  padding: 16px 20px;
  overflow: auto;
}
header {
  display: flex;
  justify-content: space-between;
}
h2 {
  font-size: 17px;
  margin: 12px 0 8px;
}
dl {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 8px;
  margin: 0;
}
dd {
  margin: 0;
}
</style>
