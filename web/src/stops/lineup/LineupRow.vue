<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Entry } from '@/api/types'
import { bare, count, plural } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { kindKeys, kindOfKey, roleOf } from './entries'

/** One entry of a result. A key on it says what its site is, Alt with an arrow moves it. */
const props = defineProps<{ entry: Entry; over: boolean; unread?: string | undefined }>()
const emit = defineEmits<{
  toggle: []
  kind: [kind: Entry['kind']]
  move: [by: number]
  remove: []
}>()

const own = () => props.entry.kind === 'client'
const double = () => props.entry.reason.code === 'taken_already'
const paid = () => props.entry.part === 'paid' || props.entry.sponsored
const aside = () => !props.entry.taken && !own() && !double()
const position = () => (paid() || props.entry.part === 'typed' ? '—' : props.entry.position)

function pressed(e: KeyboardEvent) {
  if (e.target !== e.currentTarget || e.ctrlKey || e.metaKey) return
  if (e.altKey) {
    if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
      e.preventDefault()
      emit('move', e.key === 'ArrowUp' ? -1 : 1)
    }
    return
  }
  const row = e.currentTarget as HTMLElement
  if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
    const rows = [...document.querySelectorAll<HTMLElement>('[data-entry]')]
    rows[rows.indexOf(row) + (e.key === 'ArrowDown' ? 1 : -1)]?.focus()
    e.preventDefault()
    return
  }
  const kind = kindOfKey(e.key)
  if (kind && !own()) {
    e.preventDefault()
    e.stopPropagation()
    emit('kind', kind)
  }
}
</script>

<template>
  <li
    :class="{ own: own(), aside: aside(), taken: entry.taken, over }"
    :data-entry="entry.name"
    :data-kind="entry.kind"
    tabindex="0"
    @keydown="pressed"
  >
    <span class="figure to-right t-lead" data-place>{{ position() }}</span>
    <svg class="stroke" viewBox="0 0 6 18" width="6" height="18" aria-hidden="true">
      <path v-if="entry.taken" d="M3 1v16" />
    </svg>
    <span class="name of-two" :title="entry.name">{{ entry.name }}</span>
    <a
      v-if="entry.url"
      class="mono soft one-line address"
      :href="entry.url"
      target="_blank"
      rel="noreferrer"
      :title="entry.url"
      >{{ bare(entry.url) }}</a
    >
    <span v-else class="soft">{{ entry.phone || 'no site known' }}</span>
    <span class="soft says flow on-mid">
      <span v-if="entry.failure" class="mistake" :title="entry.failure.says"
        ><template v-if="entry.taken && entry.words === null">Add by hand. </template
        >{{ entry.failure.says }}</span
      >
      <template v-else-if="own()">the client</template>
      <template v-else-if="paid()">{{ entry.reason.says }}</template>
      <template v-else>
        <select
          class="mr-2"
          :value="entry.kind"
          :aria-label="`What ${entry.name} is`"
          @change="emit('kind', ($event.target as HTMLSelectElement).value as Entry['kind'])"
        >
          <option v-for="k in kindKeys" :key="k.kind" :value="k.kind">{{ k.name }}</option>
        </select>
        <span class="slim" :title="entry.reason.says">
          {{ roleOf(entry) }}
          <span v-if="unread" class="pencil" :title="`The page of ${unread} cannot be read`"
            >next in line</span
          >
          <template v-else>{{ entry.reason.says }}</template>
        </span>
      </template>
    </span>
    <span class="soft one-line" :title="entry.phone">
      {{
        [
          entry.rating?.toFixed(1),
          entry.reviews !== null && plural(entry.reviews, 'review'),
          entry.years && `${plural(entry.years, 'year')} in trade`,
        ]
          .filter(Boolean)
          .join(' · ')
      }}
    </span>
    <span class="flow gap-2 on-mid to-end">
      <template v-if="entry.words !== null">
        <TallyStrokes :words="entry.words" :tone="own() ? 'ink' : 'rival'" :height="15" :most="4" />
        <span class="num">{{ count(entry.words) }}</span>
      </template>
    </span>
    <ActionButton v-if="!own() && entry.url && !double()" quiet class="to-right" @click="emit('toggle')">
      {{ entry.taken ? 'Dismiss' : 'Use as rival' }}
    </ActionButton>
    <ActionButton
      v-else-if="!own() && !entry.url"
      quiet
      class="to-right"
      :aria-label="`Remove ${entry.name}`"
      @click="emit('remove')"
    >
      Remove
    </ActionButton>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: var(--columns-lineup);
  align-items: center;
  gap: var(--s2);
  min-height: var(--w5);
  padding: 0 var(--edge);
  border-bottom: var(--line);
}
.over {
  border-top: var(--focus-line);
}
.own {
  background: var(--band);
  box-shadow: inset var(--s1) 0 0 var(--ink);
}
.stroke {
  justify-self: center;
  stroke: var(--ink);
  stroke-width: 2.4;
}
/* A title is what an owner knows a result by, and a reason why it is what it is: they are whole, on two lines where
   they have to be. */
.name,
.says {
  line-height: 1.25;
}
.taken .name,
.own .name {
  font-weight: 600;
}
.aside .name {
  text-decoration: line-through;
  text-decoration-thickness: var(--hair);
  color: var(--ink-soft);
}
.address:not(:hover) {
  text-decoration: none;
}
@media (max-width: 760px) {
  li {
    width: max-content;
    min-width: 100%;
  }
}
</style>
