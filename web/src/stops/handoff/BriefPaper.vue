<script setup lang="ts">
import type { Brief } from '@/api/types'
import { bare, count, day, duration, gain } from '@/parts/format'
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
  <article class="paper" data-brief>
    <header>
      <h1>{{ brief.client }}</h1>
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
      <div class="large">
        <span v-if="brief.words.hold" class="figure">{{ count(brief.words.now) }}</span>
        <span v-else class="figure pencil">{{ count(brief.words.to_write) }}</span>
        <span>{{ brief.words.hold ? 'words: enough' : 'words to write' }}</span>
      </div>
      <TallyStrokes :words="brief.words.now" :write="brief.words.to_write" :height="30" />
      <p v-if="!brief.words.hold">
        {{ count(brief.words.now) }} words now, {{ count(brief.words.target) }} wanted.
        <template v-if="brief.words.writer < brief.words.target">
          Hand in {{ count(brief.words.writer) }} words of copy; the rest are menus and footers.
        </template>
      </p>
      <p v-if="reasons" class="soft">{{ brief.words.evidence }}</p>
    </section>
    <section v-for="s in brief.sections" :key="s.part">
      <h2>{{ s.title }}</h2>
      <ul>
        <li
          v-for="t in s.lines"
          :key="t.key"
          :data-line="t.key"
          :class="{ heads: t.heads, inside: t.inside }"
        >
          <span class="box" aria-hidden="true"></span>
          <div>
            <div class="says">
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
      <h2>What stays</h2>
      <p v-for="s in brief.stays" :key="s" class="stay">{{ s }}</p>
    </section>
    <p class="soft">{{ brief.unit_note }}</p>
  </article>
</template>

<style scoped>
.paper {
  max-width: 720px;
  margin: 0 auto;
  background: #fff;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--rule);
  padding: 40px 48px 44px;
}
header {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 10px;
}
h1 {
  font-size: 26px;
  line-height: 1.2;
  margin: 0 0 4px;
}
header p {
  margin: 0 0 4px;
}
.words {
  padding: 16px 0 6px;
}
.large {
  display: flex;
  align-items: baseline;
  gap: 10px;
}
.large .figure {
  font-size: 40px;
  line-height: 1.2;
}
h2 {
  font-size: 17px;
  margin: 18px 0 2px;
  border-bottom: 1px solid var(--ink);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
section > ul > li {
  display: grid;
  grid-template-columns: 16px 1fr auto;
  gap: 12px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
section > ul > li.inside {
  margin-left: 28px;
}
.heads .says {
  font-size: 15.5px;
}
.stay {
  margin: 0;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.box {
  width: 13px;
  height: 13px;
  border: 1.5px dashed var(--pencil);
  margin-top: 3px;
}
.says {
  font-weight: 600;
  font-size: 14.5px;
}
.says .penciled {
  font-weight: 400;
}
.parts {
  margin-top: 4px;
}
@media print {
  .paper {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
</style>
