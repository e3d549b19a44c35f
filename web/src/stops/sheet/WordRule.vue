<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '@/api/client'
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
  <ol>
    <li>
      The guideline for a {{ sheet.page.kind }} page is {{ count(w.guideline.low) }} to
      {{ count(w.guideline.high) }} words; no target goes beyond {{ count(w.guideline.ceiling) }}.
    </li>
    <li v-for="a in aside" :key="a.entry_id">
      {{ a.name }} with {{ count(a.words.seen) }} is set aside: above the ceiling and over two and a half
      times the middle of them all.
    </li>
    <li v-if="mark">
      The mark is the strongest like page: {{ mark.name }} with {{ count(mark.words.seen) }}.
      <div><TallyStrokes :words="mark.words.seen" tone="rival" /></div>
    </li>
    <li v-else>No rival’s page was read, so the guideline’s least is the target.</li>
    <li v-if="mark">
      To beat it: the mark and 15 %, at least 100 words: {{ count(w.beat) }}. The larger of that and the
      guideline’s least, rounded up to 50<template v-if="w.rule === 'ceiling'">, at most the ceiling</template
      >.
    </li>
    <li class="target">
      Target: <span class="figure">{{ count(w.target) }}</span>
      <span v-if="!w.beats_mark" class="stamp">does not pass the mark</span>
    </li>
    <li v-if="w.hold">
      The page has {{ count(own.words.seen) }}: enough. The work is where the phrases stand.
    </li>
    <li v-else>
      {{ count(own.words.seen) }} stand there, so {{ count(w.to_write) }} are to be written.
      <div><TallyStrokes :words="own.words.seen" :write="w.to_write" :height="22" /></div>
    </li>
    <li v-if="w.frame">
      {{ count(w.frame) }} of the words seen are menus and footers: a writer hands in {{ count(w.writer) }}.
    </li>
  </ol>
</template>

<style scoped>
ol {
  padding-left: 20px;
  margin: 0;
}
li {
  margin-bottom: 12px;
  line-height: 1.5;
}
.target {
  color: var(--pencil);
}
.target .figure {
  font-size: 24px;
}
</style>
