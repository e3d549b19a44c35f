<script setup lang="ts">
import type { Brief } from '@/api/types'
import { bare, count, day, duration, gain } from '@/parts/format'
import PaperSheet from '@/ui/PaperSheet.vue'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** The brief as paper: what a writer fills without asking back. */
const props = defineProps<{ brief: Brief; reasons: boolean; efforts: boolean }>()

/** What a line brings and takes; what takes no time of its own is part of making the page. */
function brought(line: Brief['sections'][number]['lines'][number]) {
  const unit = props.brief.unit === 'share' ? '%' : ' visits'
  return [line.gain > 0 && gain(line.gain) + unit, Math.round(line.minutes) > 0 && duration(line.minutes)]
    .filter(Boolean)
    .join(' · ')
}
</script>

<template>
  <PaperSheet data-brief>
    <header class="thick-below">
      <h1 class="t-title">{{ brief.client }}</h1>
      <p>
        Brief: {{ brief.page.kind }} page<template v-if="brief.page.url">
          · <span class="mono">{{ bare(brief.page.url) }}</span></template
        >
        · {{ day(brief.date) }}
      </p>
      <p v-if="brief.lead">
        First phrase: <span class="penciled">{{ brief.lead }}</span>
      </p>
    </header>
    <section class="words">
      <div class="large flow on-base gap-2">
        <span v-if="brief.words.hold" class="figure">{{ count(brief.words.now) }}</span>
        <span v-else class="figure pencil">{{ count(brief.words.to_write) }}</span>
        <span>{{ brief.words.hold ? 'words: enough' : 'words to write' }}</span>
      </div>
      <TallyStrokes :words="brief.words.now" :write="brief.words.to_write" :height="30" />
      <p v-if="!brief.words.hold" class="mt-3">
        {{ count(brief.words.now) }} words now, {{ count(brief.words.target) }} wanted.
        <template v-if="brief.words.writer < brief.words.target">
          Hand in {{ count(brief.words.writer) }} words of copy; the rest are menus and footers.
        </template>
      </p>
      <p v-if="reasons" class="soft mt-2">{{ brief.words.evidence }}</p>
    </section>
    <section v-for="s in brief.sections" :key="s.part">
      <h2 class="t-head ink-below">{{ s.title }}</h2>
      <ul class="flush pad-0 sides-0">
        <li
          v-for="t in s.lines"
          :key="t.key"
          :data-line="t.key"
          :class="{ heads: t.heads, inside: t.inside }"
        >
          <span class="box mt-1" aria-hidden="true"></span>
          <div>
            <div class="says bold t-text">
              <b v-if="!t.heads">{{ t.name }}:</b> {{ t.before }}
              <span v-if="t.pencil" class="penciled" :class="{ mono: t.kind === 'image_names' }">{{
                t.pencil
              }}</span>
              {{ t.after }}
            </div>
            <div v-if="reasons && t.note" class="soft">{{ t.note }}</div>
          </div>
          <span v-if="efforts" class="num soft">
            {{ brought(t) }}
          </span>
        </li>
      </ul>
    </section>
    <section v-if="brief.stays.length" data-stays>
      <h2 class="t-head ink-below">What stays</h2>
      <p v-for="s in brief.stays" :key="s" class="stay flush pad-1 sides-0 line-below">{{ s }}</p>
    </section>
    <p class="soft">{{ brief.unit_note }}</p>
  </PaperSheet>
</template>

<style scoped>
header {
  padding-bottom: var(--s2);
}
h1 {
  line-height: 1.2;
  margin: 0 0 var(--s1);
}
header p {
  margin: 0 0 var(--s1);
}
.words {
  padding: var(--s4) 0 var(--s2);
}
.large .figure {
  font-size: var(--figure);
  line-height: 1.2;
}
section > ul > li {
  display: grid;
  grid-template-columns: var(--s4) minmax(0, 1fr) auto;
  gap: var(--s3);
  padding: var(--s2) 0;
  border-bottom: var(--line);
}
section > ul > li.inside {
  margin-left: var(--s8);
}
.heads .says {
  font-size: var(--lead);
}
.box {
  width: var(--s3);
  height: var(--s3);
  border: var(--thick-pencil-line);
}
.says .penciled {
  font-weight: 400;
}
.parts {
  margin-top: var(--s1);
}
</style>
