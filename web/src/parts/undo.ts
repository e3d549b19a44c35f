import { defineStore } from 'pinia'
import { ref } from 'vue'

/** For how long a change can be undone, in milliseconds. */
export const UNDO_TIME = 30_000

/** What was changed last, and how it is undone. */
export const useUndo = defineStore('undo', () => {
  const said = ref('')
  let back: (() => Promise<unknown>) | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Offers to undo a change that was just made. */
  function offer(sentence: string, undo: () => Promise<unknown>) {
    clearTimeout(timer)
    said.value = sentence
    back = undo
    timer = setTimeout(forget, UNDO_TIME)
  }

  async function undo() {
    const run = back
    forget()
    await run?.()
  }

  function forget() {
    clearTimeout(timer)
    said.value = ''
    back = undefined
  }

  return { said, offer, undo, forget }
})
