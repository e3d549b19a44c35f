<script setup lang="ts">
import { computed } from 'vue'
import type { Column } from '@/api/client'
import { useChanges, useRun } from '@/api/queries'
import { cameIn, ledOn } from './roads'

/** How a page was read, and the choice of how it is to be read from now on. */
const props = defineProps<{ column: Column; client: number }>()
const { readPage } = useChanges(() => props.client)
const { data: run } = useRun(() => props.client)
const busy = computed(() => run.value?.state === 'running' || readPage.isPending.value)

const ways = [
  { way: '', says: 'As it needs', tells: 'in a browser only where a script draws the page' },
  { way: 'served', says: 'As served', tells: 'what the site sends, no script run' },
  { way: 'browser', says: 'In a browser', tells: 'what a visitor sees after the scripts have run' },
] as const

const lines = computed(() => {
  const c = props.column
  const said = [cameIn(c), ledOn(c), c.note, ...c.warnings]
  if (c.overruled) said.push('although its site asks programs not to read it (robots.txt)')
  return said.filter(Boolean)
})
</script>

<template>
  <section>
    <h3>How it was read</h3>
    <p v-for="l in lines" :key="l" class="line">{{ l }}</p>
    <fieldset v-if="column.url" :disabled="busy">
      <legend class="soft">Read it anew, and so from now on</legend>
      <button
        v-for="w in ways"
        :key="w.way"
        class="way"
        :class="{ now: column.way === w.way }"
        type="button"
        :title="w.tells"
        :aria-pressed="column.way === w.way"
        @click="readPage.mutate({ url: column.url, way: w.way })"
      >
        {{ w.says }}
      </button>
    </fieldset>
    <p v-if="readPage.error.value" class="mistake" role="alert">{{ readPage.error.value.message }}</p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 14px;
  margin: 4px 0 2px;
  padding-bottom: 3px;
  border-bottom: 1px solid var(--ink);
}
.line {
  margin: 5px 0;
  overflow-wrap: anywhere;
}
.line::first-letter {
  text-transform: uppercase;
}
fieldset {
  border: 0;
  margin: 8px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
}
legend {
  padding: 0;
  margin-bottom: 4px;
}
.way {
  background: none;
  border: 1px solid var(--ink-soft);
  border-right-width: 0;
  padding: 4px 12px;
  cursor: pointer;
}
.way:last-child {
  border-right-width: 1px;
}
.way.now {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--paper);
}
.way:disabled {
  cursor: default;
  opacity: 0.6;
}
</style>
