<script setup lang="ts">
import type { Entry } from '@/api/types'
import { computed, ref } from 'vue'
import LineupRow from './LineupRow.vue'

/** One part of a recorded result, as a ranked list. Rows are dragged, or moved with Alt and an arrow. */
const props = defineProps<{ title: string; note: string; entries: Entry[]; all: Entry[] }>()
const emit = defineEmits<{
  toggle: [entry: Entry]
  kind: [entry: Entry, kind: Entry['kind']]
  move: [entry: Entry, position: number]
  remove: [entry: Entry]
}>()

/* The rivals that cannot be read, by what stands for them: another one is offered for their seat. */
const unread = computed(() => new Map(props.all.map((e) => [e.id, e.name])))

const ranked = (e: Entry) => e.part !== 'paid' && e.part !== 'typed' && !e.sponsored
const dragged = ref<Entry>()
const over = ref(0)

function start(e: DragEvent, entry: Entry) {
  if (!ranked(entry)) return e.preventDefault()
  dragged.value = entry
  e.dataTransfer?.setData('text/x-entry', String(entry.id))
}

function hover(e: DragEvent, entry: Entry) {
  if (!dragged.value || !ranked(entry)) return
  e.preventDefault()
  e.stopPropagation()
  over.value = entry.id
}

function drop(e: DragEvent, entry: Entry) {
  const from = dragged.value
  dragged.value = undefined
  over.value = 0
  if (!from || !ranked(entry)) return
  e.preventDefault()
  e.stopPropagation()
  if (from.id !== entry.id) emit('move', from, entry.position)
}

function moveBy(entry: Entry, by: number) {
  const list = props.entries.filter(ranked)
  const next = list[list.indexOf(entry) + by]
  if (ranked(entry) && next) emit('move', entry, next.position)
}
</script>

<template>
  <section :aria-label="title">
    <h2>
      {{ title }} <span class="soft">{{ note }}</span>
    </h2>
    <ol>
      <template v-for="e in entries" :key="e.id">
        <LineupRow
          :entry="e"
          :over="over === e.id"
          :unread="unread.get(e.offered)"
          :draggable="ranked(e)"
          @dragstart="start($event, e)"
          @dragover="hover($event, e)"
          @dragend="((dragged = undefined), (over = 0))"
          @drop="drop($event, e)"
          @toggle="emit('toggle', e)"
          @kind="emit('kind', e, $event)"
          @move="moveBy(e, $event)"
          @remove="emit('remove', e)"
        />
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
@media (max-width: 760px) {
  ol {
    overflow-x: auto;
  }
  :deep(li) {
    width: max-content;
    min-width: 100%;
  }
}
:deep(li) {
  display: grid;
  grid-template-columns:
    40px 22px minmax(180px, 2.2fr) minmax(140px, 1.3fr) minmax(200px, 2fr)
    minmax(130px, 190px) 140px 84px;
  align-items: center;
  gap: 8px;
  min-height: 34px;
  padding: 0 var(--edge);
  border-bottom: 1px solid var(--rule);
}
:deep(li:focus-visible) {
  outline-offset: -2px;
}
:deep(.over) {
  border-top: 2px solid var(--pencil);
}
:deep(.place) {
  text-align: right;
  font-size: 15px;
}
:deep(.stroke) {
  justify-self: center;
}
:deep(.stroke path) {
  stroke: var(--ink);
  stroke-width: 2.4;
}
:deep(.mono),
:deep(.rated) {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
/* A title is what an owner knows a result by: it is whole, on two lines where it has to be. So is why an entry is
   what it is, and what went wrong. */
:deep(.says) {
  line-height: 1.25;
  padding: 2px 0;
}
:deep(.name) {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
  line-height: 1.2;
  padding: 2px 0;
}
:deep(.mono) {
  text-decoration: none;
}
:deep(.mono:hover) {
  text-decoration: underline;
}
:deep(select) {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
  margin-right: 6px;
}
:deep(.taken .name),
:deep(.own .name) {
  font-weight: 600;
}
:deep(.taken.over .name) {
  font-weight: 600;
}
:deep(.aside .name) {
  text-decoration: line-through;
  text-decoration-thickness: 1px;
  color: var(--ink-soft);
}
:deep(li.taken .name),
:deep(li.own .name) {
  font-weight: 600;
}
:deep(li.aside .name) {
  text-decoration: line-through;
  text-decoration-thickness: 1px;
  color: var(--ink-soft);
}
:deep(li.own) {
  background: var(--band);
  box-shadow: inset 5px 0 0 var(--ink);
}
:deep(.words) {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: flex-end;
}
:deep(li .link) {
  text-align: right;
}
:deep(li.open) {
  grid-template-columns: 62px auto 1fr;
}
.free {
  grid-column: 2;
  color: var(--pencil);
  border: 1px dashed var(--pencil);
  background: var(--pencil-wash);
  padding: 2px 10px;
}
@media (max-width: 1100px) {
  :deep(li) {
    grid-template-columns:
      30px 16px minmax(140px, 2fr) minmax(110px, 1.1fr) minmax(170px, 1.6fr)
      110px 110px 84px;
  }
}
</style>
