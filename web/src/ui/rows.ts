import { computed, nextTick, ref, watch, type Ref } from 'vue'
import { isField } from '@/parts/keys'

/**
 * Rows that are walked by keys, one of which can be come to by Tab: arrows, Home and End move the focus, and what else
 * is pressed on a row is told with it. A row has its key in data-row.
 */
export function useRows(
  root: Ref<HTMLElement | undefined>,
  keys: () => string[],
  press: (key: string, row: string) => boolean,
) {
  /** The key of the row at hand. */
  const at = ref('')
  let within = false
  const rows = () => [...(root.value?.querySelectorAll<HTMLElement>('[data-row]') ?? [])]

  async function focus(row: string) {
    at.value = row
    await nextTick()
    rows()
      .find((r) => r.dataset.row === row)
      ?.focus()
  }

  function step(from: HTMLElement, key: string): HTMLElement | undefined {
    const list = rows()
    const i = list.indexOf(from)
    const to = { ArrowDown: i + 1, ArrowUp: i - 1, Home: 0, End: list.length - 1 }[key]
    return to === undefined ? undefined : (list[to] ?? from)
  }

  function onKeydown(event: KeyboardEvent) {
    const target = event.target as HTMLElement
    const row = target.closest<HTMLElement>('[data-row]')
    if (!row || isField(target) || event.ctrlKey || event.metaKey || event.altKey) return
    const next = step(row, event.key)
    if (next) next.focus()
    else if (target !== row || !press(event.key, row.dataset.row!)) return
    event.preventDefault()
    event.stopPropagation()
  }
  function onFocusin(event: FocusEvent) {
    const row = (event.target as HTMLElement).closest<HTMLElement>('[data-row]')
    if (row) at.value = row.dataset.row!
    within = true
  }
  const onFocusout = (event: FocusEvent) =>
    (within = !!root.value?.contains(event.relatedTarget as Node | null))

  /* Where the row that has the focus goes, the one in its place gets it. */
  watch(
    keys,
    (now, before) => {
      if (!within || now.includes(at.value) || !now.length) return
      void focus(now[Math.min(before.indexOf(at.value), now.length - 1)] ?? now[0]!)
    },
    { flush: 'pre' },
  )
  /** The row that Tab comes to: the one at hand, else the first. */
  const tabbed = computed(() => {
    const all = keys()
    return all.includes(at.value) ? at.value : (all[0] ?? '')
  })
  return { at, tabbed, focus, onKeydown, onFocusin, onFocusout }
}
