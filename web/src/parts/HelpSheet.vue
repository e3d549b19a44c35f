<script setup lang="ts">
defineEmits<{ close: [] }>()

const keys: [string, string][] = [
  ['1 to 5', 'go to a stop of the route'],
  ['m', 'measure: read all pages again'],
  ['Ctrl K', 'find a client or a stop'],
  ['n, p', 'next and previous mark in the evidence'],
  ['j, k', 'next and previous target'],
  ['y, e, x', 'keep, change or drop the target'],
  ['Ctrl Z', 'undo the last change'],
  ['Esc', 'close the margin'],
  ['?', 'these keys'],
]
</script>

<template>
  <aside class="help" aria-label="Keys">
    <header>
      <h2>Keys</h2>
      <button class="plain" type="button" aria-label="Close" @click="$emit('close')">×</button>
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
      One upright stroke is 100 words, a crossed bundle 500. Ink is what is there, pencil what is to be
      written.
    </p>
    <p>
      A solid square: the phrase stands there word for word. A half square: its words stand close together in
      another form. A pencil outline: wanted and missing.
    </p>
    <h2>For programs</h2>
    <p>Everything here can be asked for by <a href="/api.html">the API</a>.</p>
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
