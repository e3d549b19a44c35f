import { watch, type ModelRef } from 'vue'
import { lines } from '@/parts/format'

/**
 * Rows of a form that grow as they are filled: the last one is always empty. A
 * list that is pasted into the first field of a row becomes rows.
 */
export function useFieldRows<Row extends { name: string }>(
  rows: ModelRef<Row[]>,
  empty: () => Row,
  read: (line: string) => Row,
) {
  watch(
    rows,
    (list) => {
      if (list[list.length - 1]?.name !== '') rows.value = [...list, empty()]
    },
    { deep: true, immediate: true },
  )

  function paste(event: ClipboardEvent, at: number) {
    const list = lines(event.clipboardData?.getData('text/plain') ?? '')
    if (list.length < 2) return
    event.preventDefault()
    const next = [...rows.value]
    next.splice(at, next[at]?.name ? 0 : 1, ...list.map(read))
    rows.value = next
  }

  /** Makes a row the first one. */
  function toFront(at: number) {
    const next = [...rows.value]
    next.unshift(...next.splice(at, 1))
    rows.value = next
  }

  return { paste, toFront }
}
