<script setup lang="ts">
import type { Entry } from '@/api/types'
import { computed, ref } from 'vue'
import LineupRow from './LineupRow.vue'

/** One part of a recorded result, as a ranked list. Rows are dragged, or moved with Alt and an arrow;
 * `tabbed` is the key of the one that Tab comes to. */
const props = defineProps<{ title: string; note: string; entries: Entry[]; all: Entry[]; tabbed: string }>()
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
    <div class="flow on-base gap-3 pad-2 edge banded ink-below">
      <h2 class="flush">{{ title }}</h2>
      <span class="soft t-small">{{ note }}</span>
    </div>
    <div class="rows" role="grid" :aria-label="title">
      <template v-for="e in entries" :key="e.id">
        <LineupRow
          :entry="e"
          :over="over === e.id"
          :tabbed="tabbed === String(e.id)"
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
        <div v-if="e.open" role="row" class="flow on-mid gap-2 edge pad-2 line-below">
          <span role="gridcell" class="free pencil washed pad-0 sides-2 ml-9w"
            >Position {{ e.position }}: no business here</span
          >
          <span role="gridcell" class="soft">open position</span>
        </div>
      </template>
    </div>
  </section>
</template>

<style scoped>
@media (max-width: 760px) {
  .rows {
    overflow-x: auto;
  }
}
.free {
  border: var(--pencil-line);
}
</style>
