import { ref, type Ref } from 'vue'

type Listeners = Record<string, (e: DragEvent) => void>

const holdsFiles = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false

/**
 * Lets files be dropped on a part of the screen, and on elements within it that
 * stand for something of their own. Entering is taken as well as being over:
 * when what lies under the pointer is drawn anew, the browser enters the new
 * element, and drops nothing on one that did not take it.
 * @param take is called with what was dropped, and on what
 * @returns what files are held over now, and the listeners for `v-on` by what an element stands for
 */
export function useFileDrop<T>(take: (data: DataTransfer, at: T) => void) {
  const over = ref<T>() as Ref<T | undefined>

  const hold = (at: T) => (e: DragEvent) => {
    if (!holdsFiles(e)) return
    e.preventDefault()
    e.stopPropagation()
    over.value = at
  }
  const drop = (at: T) => (e: DragEvent) => {
    over.value = undefined
    if (!e.dataTransfer || !holdsFiles(e)) return
    e.preventDefault()
    e.stopPropagation()
    take(e.dataTransfer, at)
  }
  // Only what is carried out of the whole part leaves it.
  function leave(e: DragEvent) {
    const part = e.currentTarget as Element
    if (!part.contains(e.relatedTarget as Node | null)) over.value = undefined
  }
  const within = (at: T): Listeners => ({
    dragenter: hold(at),
    dragover: hold(at),
    drop: drop(at),
  })
  const on = (at: T): Listeners => ({ ...within(at), dragleave: leave })
  return { over, on, within }
}
