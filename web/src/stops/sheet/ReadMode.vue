<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { readPageMutation } from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { Column, ReadMode } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { cameIn, redirected } from './reading'

/** How a page was read, and the choice of how it is to be read from now on. */
const props = defineProps<{ column: Column; client: number }>()
const readPage = useMutation(readPageMutation())
const reading = useBusy(() => props.client)
const busy = computed(() => reading.value || readPage.isPending.value)

const modes: { mode: ReadMode; says: string; tells: string }[] = [
  { mode: '', says: 'Automatic', tells: 'Rendered in a browser only if a script builds the page' },
  { mode: 'served', says: 'As served', tells: 'What the site sends, without running scripts' },
  { mode: 'rendered', says: 'As rendered', tells: 'What a visitor sees after the scripts have run' },
]

const lines = computed(() => {
  const c = props.column
  const said = [cameIn(c), redirected(c), c.note?.says, ...c.warnings.map((w) => w.says)]
  if (c.robots_ignored) said.push('read although robots.txt asks programs not to')
  return said.filter(Boolean)
})
</script>

<template>
  <section>
    <h3 class="t-text ink-below">How it was read</h3>
    <p v-for="l in lines" :key="l" class="line anywhere">{{ l }}</p>
    <fieldset v-if="column.url" class="pad-0 sides-0 flow wrap" :disabled="busy">
      <legend class="soft pad-0 sides-0 mb-1">Read again, and this way from now on</legend>
      <button
        v-for="m in modes"
        :key="m.mode"
        class="mode"
        :class="{ now: column.mode === m.mode }"
        type="button"
        :title="m.tells"
        :aria-pressed="column.mode === m.mode"
        @click="readPage.mutate({ path: { client: client }, body: { url: column.url, mode: m.mode } })"
      >
        {{ m.says }}
      </button>
    </fieldset>
    <NoticeLine :fault="readPage.error.value" />
  </section>
</template>

<style scoped>
.line {
  margin: var(--s1) 0;
}
.line::first-letter {
  text-transform: uppercase;
}
fieldset {
  border: 0;
  margin: var(--s2) 0 0;
}
.mode {
  background: none;
  border: var(--soft-line);
  border-right-width: 0;
  padding: var(--s1) var(--s3);
  cursor: pointer;
}
.mode:last-child {
  border-right-width: var(--hair);
}
.mode.now {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--paper);
}
.mode:disabled {
  cursor: default;
  opacity: 0.6;
}
</style>
