<script setup lang="ts">
import type { Step } from '@/api/types'
import FirmRows from './FirmRows.vue'
import PageStills from './PageStills.vue'
import SearchStood from './SearchStood.vue'
import WordStrokes from './WordStrokes.vue'

/** What a step shows below its headline. */
defineProps<{ step: Step; client: number; name: string }>()
</script>

<template>
  <WordStrokes v-if="step.kind === 'words'" :rows="step.rows" />
  <PageStills
    v-else-if="step.kind === 'phrase'"
    :client="client"
    :phrase="step.phrase"
    :stills="step.stills"
  />
  <SearchStood v-else-if="step.kind === 'search'" :step="step" :client="name" />
  <img v-else-if="step.picture" class="picture" :src="step.picture" :alt="step.head" />
  <template v-else>
    <div v-if="step.rows.some((r) => r.own && r.theirs)" class="heads grid gap-6 soft t-head ink-below">
      <span></span><span class="to-right">you</span><span class="to-right">they</span>
    </div>
    <FirmRows :step="step" />
    <div v-for="n in step.names" :key="n.now" class="pad-2 sides-0 line-below mono t-title" data-renamed>
      <span class="struck soft">{{ n.now }}</span>
      <span class="as-block pencil">{{ n.better }}</span>
    </div>
    <ol v-if="step.lines.length" class="lines flush">
      <li v-for="l in step.lines" :key="l" class="slab t-title" :class="{ pencil: step.kind === 'pages' }">
        {{ l }}
      </li>
    </ol>
  </template>
</template>

<style scoped>
.picture {
  max-width: 100%;
  max-height: 100%;
  object-fit: contain;
}
.heads {
  grid-template-columns: minmax(0, 1fr) var(--w24) var(--w24);
}
.lines {
  padding: var(--s4) 0 0 var(--s8);
  columns: var(--w60) 2;
  list-style: decimal;
}
li {
  padding: var(--s1) 0;
  break-inside: avoid;
}
</style>
