import { isField } from '@/parts/keys'

/** Keys on the rows of a list: arrows go from row to row, other keys do what they are for with the row. */
export function useRowKeys<T>(list: () => T[], acts: Record<string, (of: T) => unknown>) {
  const rows: HTMLElement[] = []
  const row = (i: number) => (el: unknown) => {
    if (el) rows[i] = el as HTMLElement
  }
  function press(e: KeyboardEvent, i: number) {
    if (e.ctrlKey || e.metaKey || e.altKey || isField(e.target)) return
    const to = { ArrowDown: i + 1, ArrowUp: i - 1 }[e.key]
    if (to !== undefined) {
      if (!list()[to]) return
      rows[to]?.focus()
    } else if (acts[e.key] && list()[i]) {
      void acts[e.key]!(list()[i]!)
    } else return
    e.preventDefault()
    e.stopPropagation()
  }
  return { row, press }
}
