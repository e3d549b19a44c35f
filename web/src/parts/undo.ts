import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'

/** For how long a change can be undone, in milliseconds. */
export const UNDO_TIME = 30_000

/** What was changed last, and how it is undone. */
export const useUndo = defineStore('undo', () => {
  const said = ref('')
  const back = shallowRef<() => Promise<unknown>>()
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Offers to undo a change that was just made. */
  function offer(sentence: string, undo: () => Promise<unknown>) {
    clearTimeout(timer)
    said.value = sentence
    back.value = undo
    timer = setTimeout(forget, UNDO_TIME)
  }

  /** Undoes it; what it fails for is said in its place. */
  async function undo() {
    const run = back.value
    forget()
    try {
      await run?.()
    } catch (failure) {
      said.value = (failure as Error).message
      timer = setTimeout(forget, UNDO_TIME)
    }
  }

  function forget() {
    clearTimeout(timer)
    said.value = ''
    back.value = undefined
  }

  const canUndo = computed(() => back.value !== undefined)
  return { said, canUndo, offer, undo, forget }
})
