<script setup lang="ts">
import type { Sheet } from '@/api/types'
import { computed } from 'vue'
import { count } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** How the word target came about, step by step. */
const props = defineProps<{ sheet: Sheet }>()
const w = computed(() => props.sheet.target.words)
const own = computed(() => props.sheet.columns[0]!)
const mark = computed(() => props.sheet.columns[props.sheet.target.mark_of])
const aside = computed(() => props.sheet.columns.filter((c) => c.set_aside))
</script>

<template>
  <p v-if="w.rule === 'none'">This kind of page has no word target. Home, service and area pages have one.</p>
  <ol v-else class="pl-5 flush">
    <li class="mb-3">
      The guideline for {{ sheet.page.kind === 'area' ? 'an' : 'a' }} {{ sheet.page.kind }} page is
      {{ count(w.guideline.low) }}–{{ count(w.guideline.high) }} words. No target goes beyond
      {{ count(w.guideline.ceiling) }}.
    </li>
    <li v-for="a in aside" :key="a.entry_id" class="mb-3">
      {{ a.name }} with {{ count(a.words.seen) }} words is not counted: it is above the ceiling and over
      {{ w.outlier_factor }} times the median.
    </li>
    <li v-if="mark" class="mb-3">
      The mark is the strongest comparable page: {{ mark.name }} with {{ count(mark.words.seen) }} words.
      <div><TallyStrokes :words="mark.words.seen" tone="rival" /></div>
    </li>
    <li v-else-if="w.mark" class="mb-3">The mark from the rivals’ pages is {{ count(w.mark) }} words.</li>
    <li v-else class="mb-3">No rival’s page was compared, so the guideline’s start is the target.</li>
    <li v-if="w.mark" class="mb-3">
      Beat it by {{ w.beat_percent }}% (at least {{ count(w.beat_words) }} words): {{ count(w.beat) }}. The
      target is that or the start of the guideline, the larger of the two, rounded up to {{ count(w.step)
      }}<template v-if="w.rule === 'ceiling'">, and no more than the ceiling</template>.
    </li>
    <li class="target mb-3 pencil">
      Target: <span class="figure">{{ count(w.target) }}</span> words
      <span v-if="!w.beats_mark" class="stamp">does not beat the mark</span>
    </li>
    <li v-if="w.hold" class="mb-3">
      The page has {{ count(own.words.seen) }} words, which is enough. Work on where the phrases are.
    </li>
    <li v-else class="mb-3">
      The page has {{ count(own.words.seen) }} words, so {{ count(w.to_write) }} are to be written.
      <div><TallyStrokes :words="own.words.seen" :write="w.to_write" :height="22" /></div>
    </li>
    <li v-if="w.frame" class="mb-3">
      {{ count(w.frame) }} of the words seen are menus and footer. A writer hands in {{ count(w.writer) }}.
    </li>
  </ol>
</template>

<style scoped>
li {
  list-style: decimal;
  line-height: 1.5;
}
.target .figure {
  font-size: var(--title);
}
</style>
