<script setup lang="ts">
import type { Step } from '@/api/types'
import { kindName } from '../lineup/entries'

/** A search as it stood: the map and the results from the top, to the client's place. */
defineProps<{ step: Step; client: string }>()

type Entry = Step['list'][number]
/* The first of them, and the client's own, however far down. */
const shown = (list: Entry[], most: number) => list.filter((e, i) => i < most || e.own)
const business = (e: Entry) => e.kind === 'business' || e.kind === 'chain' || e.kind === 'client'
</script>

<template>
  <div class="pair grid gap-8">
    <section
      v-for="part in [
        { says: 'On the map', list: shown(step.map, 3) },
        { says: 'Results', list: shown(step.list, 6) },
      ].filter((p) => p.list.length)"
      :key="part.says"
    >
      <h2 class="t-head soft flush ink-below">{{ part.says }}</h2>
      <ol class="flush pad-0 sides-0">
        <li
          v-for="e in part.list"
          :key="e.position + e.name"
          class="flow on-base gap-4 line-below t-title"
          :class="{ own: e.own, none: !business(e) }"
          :data-place="e.position"
        >
          <span class="figure to-right at">{{ e.position }}</span>
          <span class="name of-two">{{ e.own ? client : e.name }}</span>
          <span v-if="!business(e)" class="pencil t-head nowrap push"
            >{{ kindName(e.kind) }}: a free place</span
          >
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.pair {
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
}
li {
  padding: var(--s1) 0;
}
.at {
  min-width: var(--w5);
}
.own {
  background: var(--band);
  box-shadow: inset var(--s1) 0 0 var(--ink);
  font-weight: 700;
}
.none .name {
  color: var(--ink-soft);
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
