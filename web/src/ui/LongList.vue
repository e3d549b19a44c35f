<script setup lang="ts" generic="Row">
import { useVirtualizer, type Range, type VirtualItem } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { isField } from '@/parts/keys'

/**
 * A list of any length: only the rows in sight are drawn. One row can be come to by Tab; arrows, Home and End go from
 * row to row, and what else is pressed on one is told with it.
 */
const props = defineProps<{
  rows: Row[]
  keyOf: (row: Row) => string
  /** How high a row is, in pixels, with what it has open. */
  sizeOf: (row: Row) => number
  label: string
  press?: (key: string, row: Row) => boolean
}>()

const scroll = ref<HTMLElement>()
const virtual = useVirtualizer(
  computed(() => ({
    count: props.rows.length,
    getScrollElement: () => scroll.value ?? null,
    estimateSize: (i: number) => props.sizeOf(props.rows[i]!),
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
/* On paper all of them are drawn, one below the other. */
const printed = ref(false)
useEventListener(window, 'beforeprint', () => (printed.value = true))
useEventListener(window, 'afterprint', () => (printed.value = false))
const items = computed<Pick<VirtualItem, 'index' | 'start' | 'size'>[]>((had) => {
  if (printed.value) return props.rows.map((row, index) => ({ index, start: 0, size: props.sizeOf(row) }))
  const now = virtual.value.getVirtualItems()
  const same = (item: VirtualItem, i: number) =>
    item.index === had![i]!.index && item.start === had![i]!.start && item.size === had![i]!.size
  return had?.length === now.length && now.every(same) ? had : now
})
const height = computed(() => (printed.value ? 'auto' : `${virtual.value.getTotalSize()}px`))
watch(
  () => [props.rows, props.sizeOf],
  () => virtual.value.measure(),
)

/* The row that Tab comes to: the one that had the focus last, or the first. */
const at = ref('')
const tabbed = computed(() => {
  const keys = props.rows.map(props.keyOf)
  return keys.includes(at.value) ? at.value : keys[0]
})
async function focus(index: number) {
  const row = props.rows[index]
  if (!row) return
  at.value = props.keyOf(row)
  virtual.value.scrollToIndex(index)
  await nextTick()
  scroll.value?.querySelector<HTMLElement>(`[data-index="${index}"]`)?.focus()
}
function onKeydown(event: KeyboardEvent, index: number) {
  const target = event.target as HTMLElement
  if (isField(target) || event.ctrlKey || event.metaKey || event.altKey) return
  const to = { ArrowDown: index + 1, ArrowUp: index - 1, Home: 0, End: props.rows.length - 1 }[event.key]
  if (to !== undefined) void focus(to)
  else if (target !== event.currentTarget || !props.press?.(event.key, props.rows[index]!)) return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <div ref="scroll" class="grow scroll-y" role="list" :aria-label="label" data-rows>
    <div class="all" role="presentation" :style="{ height }">
      <div
        v-for="item in items"
        :key="keyOf(rows[item.index]!)"
        class="row full line-below"
        :class="{ banded: item.index % 2, printed }"
        :style="{ height: `${item.size}px`, transform: printed ? undefined : `translateY(${item.start}px)` }"
        role="listitem"
        :aria-posinset="item.index + 1"
        :aria-setsize="rows.length"
        :tabindex="keyOf(rows[item.index]!) === tabbed ? 0 : -1"
        :data-index="item.index"
        @focusin="at = keyOf(rows[item.index]!)"
        @keydown="onKeydown($event, item.index)"
      >
        <slot :row="rows[item.index]!" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.all {
  position: relative;
}
.row {
  position: absolute;
  top: 0;
  left: 0;
  contain: strict; /* its height is given: nothing in it moves anything else */
}
.row.printed {
  position: relative;
}
.row:focus-visible {
  outline: var(--focus-line);
  outline-offset: calc(-1 * var(--thick));
}
</style>
