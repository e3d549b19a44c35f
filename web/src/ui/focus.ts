import { nextTick, onBeforeUnmount, onMounted, watch, type Ref } from 'vue'

/**
 * Moves the focus into a part when it opens, or shows something else that was asked for outside of it, and back to
 * where it was when the part closes.
 */
export function useFocusInto(root: Ref<HTMLElement | undefined>, shows: () => unknown = () => null) {
  let opener: Element | null = null

  function enter() {
    const now = document.activeElement
    if (root.value?.contains(now)) return
    opener = now
    root.value?.querySelector<HTMLElement>('h2')?.focus({ preventScroll: true })
  }
  function leave() {
    const within = root.value?.contains(document.activeElement)
    const here = document.activeElement === document.body
    if (!within && !here) return // it has gone elsewhere by itself
    const back =
      opener instanceof HTMLElement && opener !== document.body && opener.isConnected ? opener : main()
    void nextTick(() => back?.focus({ preventScroll: true }))
  }
  const main = () => document.querySelector<HTMLElement>('main')

  onMounted(enter)
  watch(shows, () => nextTick(enter))
  onBeforeUnmount(leave)
}

/** Moves the focus into a dialog when it opens, and back to where it was when it closes. */
export function useFocusOfDialog(open: Ref<boolean>, into: () => HTMLElement | null | undefined) {
  let opener: Element | null = null
  watch(open, async (now) => {
    if (now) opener = document.activeElement
    await nextTick()
    const to = now ? into() : opener
    if (to instanceof HTMLElement && to.isConnected) setTimeout(() => to.focus({ preventScroll: true }))
  })
}
