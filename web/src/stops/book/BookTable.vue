<script setup lang="ts">
import type { BookPhrase, BookRow, Ground } from '@/api/types'
import { useVirtualizer, type Range, type VirtualItem } from '@tanstack/vue-virtual'
import { computed, ref, watch } from 'vue'
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

const scroll = ref<HTMLElement>()
const open = ref(new Set<string>())
const rowHeight = 34

const virtual = useVirtualizer(
  computed(() => ({
    count: props.rows.length,
    getScrollElement: () => scroll.value ?? null,
    estimateSize: (i: number) => {
      const row = props.rows[i]!
      return rowHeight + (open.value.has(row.key) ? unfolded(row) * 26 + 10 : 0)
    },
    rangeExtractor: inSteps,
  })),
)

/* Rows come and go by several at once: most frames of scrolling then change nothing. */
const step = 6
function inSteps(range: Range) {
  const first = Math.max(0, Math.floor(range.startIndex / step - 1) * step)
  const end = Math.min(range.count, Math.ceil((range.endIndex + 1) / step + 1) * step)
  return Array.from({ length: end - first }, (_, i) => first + i)
}
const items = computed<VirtualItem[]>((had) => {
  const now = virtual.value.getVirtualItems()
  const same = (item: VirtualItem, i: number) =>
    item.index === had![i]!.index && item.start === had![i]!.start && item.size === had![i]!.size
  return had?.length === now.length && now.every(same) ? had : now
})
const height = computed(() => `${virtual.value.getTotalSize()}px`)
watch([() => props.rows, open], () => virtual.value.measure())

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

const paid = computed(() => props.rows.some((r) => r.worth > 0))
const allPicked = computed(() => props.rows.length > 0 && props.rows.every((r) => props.picked.has(r.key)))
const pickAll = () =>
  pick(
    props.rows.map((r) => r.key),
    !allPicked.value,
  )
</script>

<template>
  <div class="book" :class="{ paid }">
    <div class="line head soft">
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
    <div ref="scroll" class="scroller" tabindex="0" aria-label="Families" data-rows>
      <div :style="{ height, position: 'relative' }">
        <div
          v-for="item in items"
          :key="rows[item.index]!.key"
          class="row"
          :class="{ aside: !rows[item.index]!.kept, band: item.index % 2 }"
          :style="{ height: `${item.size}px`, transform: `translateY(${item.start}px)` }"
          :data-family="rows[item.index]!.members[0]!.text"
        >
          <BookLine
            :row="rows[item.index]!"
            :picked="picked.has(rows[item.index]!.key)"
            :open="open.has(rows[item.index]!.key)"
            :paid="paid"
            :other-share="otherShare"
            :also-share="alsoShare"
            :also="folded(rows[item.index]!)"
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
      </div>
    </div>
    <p v-if="!rows.length" class="soft none">No matches</p>
  </div>
</template>

<style scoped src="./line.css"></style>
<style scoped>
.book {
  --columns: 22px minmax(230px, 1.7fr) 72px 56px 52px 56px minmax(120px, 1.3fr) minmax(112px, 0.95fr) 58px;
  display: flex;
  flex-direction: column;
  min-height: 0;
  flex: 1;
}
.paid {
  --columns: 22px minmax(230px, 1.7fr) 72px 56px 52px 56px 60px minmax(120px, 1.3fr) minmax(112px, 0.95fr)
    58px;
}
.head {
  height: 30px;
  border-bottom: 1px solid var(--ink);
  font-size: 12px;
}
.scroller {
  flex: 1;
  overflow-y: auto;
  min-height: 200px;
}
.row {
  position: absolute;
  top: 0;
  left: 0;
  width: 100%;
  border-bottom: 1px solid var(--rule);
  contain: strict; /* its height is given: nothing in it moves anything else */
}
.band {
  background: var(--band);
}
.aside {
  color: var(--ink-soft);
}
.none {
  padding: 14px var(--edge);
}
@media (max-width: 1100px) {
  .book {
    --columns: 22px minmax(150px, 1.6fr) 70px 56px 52px 56px minmax(90px, 1.4fr) minmax(90px, 0.97fr) 58px;
  }
}
</style>
