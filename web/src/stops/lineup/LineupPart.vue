<script setup lang="ts">
import type { Entry } from '@/api/client'
import { bare, count, plural } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** One part of a recorded result, as a ranked list. */
defineProps<{ title: string; note: string; entries: Entry[] }>()
defineEmits<{ toggle: [entry: Entry] }>()

const own = (e: Entry) => e.kind === 'client'
const double = (e: Entry) => e.reason.code === 'taken_already'
const aside = (e: Entry) => !e.taken && !own(e) && !double(e)
const paid = (e: Entry) => e.part === 'paid' || e.sponsored

const kinds: Record<Entry['kind'], string> = {
  client: 'the client',
  directory: 'directory',
  list_article: 'list article',
  business: 'business',
}

function says(e: Entry): string {
  if (own(e)) return 'the client'
  if (paid(e)) return e.reason.says
  return [kinds[e.kind], e.reason.says].filter(Boolean).join(': ')
}

const position = (e: Entry) => (paid(e) || e.part === 'typed' ? '—' : e.position)
</script>

<template>
  <section :aria-label="title">
    <h2>
      {{ title }} <span class="soft">{{ note }}</span>
    </h2>
    <ol>
      <template v-for="e in entries" :key="e.id">
        <li :class="{ own: own(e), aside: aside(e), taken: e.taken }" :data-entry="e.name">
          <span class="figure place">{{ position(e) }}</span>
          <svg class="stroke" viewBox="0 0 6 18" width="6" height="18" aria-hidden="true">
            <path v-if="e.taken" d="M3 1v16" />
          </svg>
          <span class="name" :title="e.name">{{ e.name }}</span>
          <a v-if="e.url" class="mono soft" :href="e.url" target="_blank" rel="noreferrer" :title="e.url">{{
            bare(e.url)
          }}</a>
          <span v-else class="soft">no site known</span>
          <span class="soft says" :title="e.failure?.says || says(e)">
            <span v-if="e.failure" class="mistake">{{ e.failure.says }}</span>
            <template v-else>{{ says(e) }}</template>
          </span>
          <span class="soft rated">
            <template v-if="e.rating !== null">{{ e.rating.toFixed(1) }}</template>
            <template v-if="e.reviews !== null"> · {{ plural(e.reviews, 'review') }}</template>
          </span>
          <span class="words">
            <template v-if="e.words !== null">
              <TallyStrokes :words="e.words" :tone="own(e) ? 'ink' : 'rival'" :height="15" :most="4" />
              <span class="num">{{ count(e.words) }}</span>
            </template>
          </span>
          <button
            v-if="!own(e) && e.url && !double(e)"
            class="link"
            type="button"
            @click="$emit('toggle', e)"
          >
            {{ e.taken ? 'Dismiss' : 'Use as rival' }}
          </button>
        </li>
        <li v-if="e.open" class="open">
          <span class="free">Position {{ e.position }}: no business here</span>
          <span class="soft says">open position</span>
        </li>
      </template>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  font-size: 15.5px;
  margin: 0;
  padding: 6px var(--edge);
  background: var(--band);
  border-bottom: 1px solid var(--ink);
}
h2 span {
  font: 400 12.5px var(--sans);
  margin-left: 12px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns:
    40px 22px minmax(180px, 2.2fr) minmax(150px, 1.5fr) minmax(150px, 1.7fr)
    130px 150px 84px;
  align-items: center;
  gap: 8px;
  min-height: 34px;
  padding: 0 var(--edge);
  border-bottom: 1px solid var(--rule);
}
.place {
  text-align: right;
  font-size: 15px;
}
.stroke {
  justify-self: center;
}
.stroke path {
  stroke: var(--ink);
  stroke-width: 2.4;
}
.name,
.mono,
.says {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.mono {
  text-decoration: none;
}
.mono:hover {
  text-decoration: underline;
}
.taken .name,
.own .name {
  font-weight: 600;
}
.aside .name {
  text-decoration: line-through;
  text-decoration-thickness: 1px;
  color: var(--ink-soft);
}
.own {
  background: var(--band);
  box-shadow: inset 5px 0 0 var(--ink);
}
.open {
  grid-template-columns: 62px auto 1fr;
}
.free {
  grid-column: 2;
  color: var(--pencil);
  border: 1px dashed var(--pencil);
  background: var(--pencil-wash);
  padding: 2px 10px;
}
.words {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: flex-end;
}
.link {
  text-align: right;
}
@media (max-width: 1100px) {
  li {
    grid-template-columns:
      30px 16px minmax(150px, 2fr) minmax(120px, 1.2fr) minmax(120px, 1.3fr)
      110px 120px 84px;
  }
}
</style>
