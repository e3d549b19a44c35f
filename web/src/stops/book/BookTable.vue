<script setup lang="ts">
import type { BookPhrase, BookRow, Ground } from '@/api/types'
import { computed, ref } from 'vue'
import { useCommands } from '@/parts/keys'
import LongList from '@/ui/LongList.vue'
import BookLine from './BookLine.vue'
import { unfolded } from './family'

/** The families as rows, only those in sight drawn. */
const props = defineProps<{
  rows: BookRow[]
  picked: Set<string>
  /** With this share of their volume the members beside the lead count. */
  otherShare: number
  /** With this share of their gain the families count that are folded under a row. */
  alsoShare: number
  /** All families, those that are folded under a row among them. */
  families: BookRow[]
  ground: Ground
  pageName: (id: number) => string
  addressOf: (id: number) => string
}>()
const emit = defineEmits<{
  lead: [key: string, text: string]
  place: [phrases: BookPhrase[], where: string]
  pick: [keys: string[], on: boolean]
  choose: [key: string, state: 'kept' | 'aside' | '']
}>()

const byKey = computed(() => new Map(props.families.map((f) => [f.key, f])))
const none: BookRow[] = [] // the same for all rows that fold nothing: they need not be drawn again
const folded = (row: BookRow) =>
  row.also.length ? row.also.flatMap((key) => byKey.value.get(key) ?? none) : none

const open = ref(new Set<string>())
/* A row, a line of a row that is unfolded, and the room below these. */
const rowHeight = 36
const lineHeight = 24
const sizeOf = computed(
  () => (row: BookRow) => rowHeight + (open.value.has(row.key) ? unfolded(row) * lineHeight + 8 : 0),
)

function fold(key: string) {
  const next = new Set(open.value)
  if (!next.delete(key)) next.add(key)
  open.value = next
}

/* Handlers that stay the same let the rows that only move be left as they are. */
const pick = (keys: string[], on: boolean) => emit('pick', keys, on)
const choose = (key: string, state: 'kept' | 'aside' | '') => emit('choose', key, state)
const lead = (key: string, text: string) => emit('lead', key, text)
const place = (phrases: BookPhrase[], where: string) => emit('place', phrases, where)

/* What is pressed on a row does what stands on it. */
function press(key: string, row: BookRow) {
  if (key === 'Enter') fold(row.key)
  else if (key === ' ') pick([row.key], !props.picked.has(row.key))
  else if (key === 'Delete') choose(row.key, row.kept ? 'aside' : 'kept')
  else return false
  return true
}
useCommands([
  { key: 'Enter', says: 'Show the other forms of a phrase', ofRow: true, run: () => false },
  { key: ' ', says: 'Select a phrase', ofRow: true, run: () => false },
  { key: 'Delete', says: 'Dismiss a phrase, or keep it again', ofRow: true, run: () => false },
])

const paid = computed(() => props.rows.some((r) => r.worth > 0))
const allPicked = computed(() => props.rows.length > 0 && props.rows.every((r) => props.picked.has(r.key)))
const pickAll = () =>
  pick(
    props.rows.map((r) => r.key),
    !allPicked.value,
  )
</script>

<template>
  <div class="book stacked low grow" :class="{ paid }">
    <div class="line head soft ink-below t-small">
      <input type="checkbox" aria-label="Select all that are shown" :checked="allPicked" @change="pickAll" />
      <span>phrase</span>
      <span class="num">searches/mo</span>
      <span class="num">difficulty</span>
      <span class="num">position</span>
      <span class="num" title="More visits a month at the aimed position: an estimate">gain, est.</span>
      <span v-if="paid" class="num worth" title="What the gain brings in money a month: an estimate"
        >worth, est.</span
      >
      <span>why</span>
      <span>page</span>
      <span></span>
    </div>
    <LongList
      v-slot="{ row }"
      class="families"
      :rows="rows"
      :key-of="(r) => r.key"
      :size-of="sizeOf"
      label="Families"
      :press="press"
    >
      <div :class="{ soft: !row.kept }" :data-family="row.members[0]!.text">
        <BookLine
          :row="row"
          :picked="picked.has(row.key)"
          :open="open.has(row.key)"
          :paid="paid"
          :other-share="otherShare"
          :also-share="alsoShare"
          :also="folded(row)"
          :ground="ground"
          :page-name="pageName"
          :address-of="addressOf"
          @fold="fold"
          @pick="pick"
          @choose="choose"
          @lead="lead"
          @place="place"
        />
      </div>
    </LongList>
    <p v-if="!rows.length" class="soft none pad-3 edge">No matches</p>
  </div>
</template>

<style scoped src="./line.css"></style>
<style scoped>
.book {
  --columns: var(--w3) minmax(var(--w30), 2fr) var(--w9) var(--w7) var(--w7) var(--w7) minmax(var(--w15), 1fr)
    minmax(var(--w18), 1fr) var(--w8);
}
.paid {
  --columns: var(--w3) minmax(var(--w30), 2fr) var(--w9) var(--w7) var(--w7) var(--w7) var(--w8)
    minmax(var(--w13), 1fr) minmax(var(--w18), 1fr) var(--w8);
}
.head {
  height: var(--w4);
}
.families {
  min-height: var(--w26);
}
@media (max-width: 1100px) {
  .book {
    --columns: var(--w3) minmax(var(--w19), 2fr) var(--w9) var(--w7) var(--w7) var(--w7)
      minmax(var(--w11), 1fr) minmax(var(--w11), 1fr) var(--w8);
  }
}
</style>
