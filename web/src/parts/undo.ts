import { defineStore } from 'pinia'
import { ref } from 'vue'

/** What was changed last, and how it is undone. */
export const useUndo = defineStore('undo', () => {
  const said = ref('')
  let back: (() => Promise<unknown>) | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Offers to undo a change that was just made. */
  function offer(sentence: string, undo: () => Promise<unknown>) {
    said.value = sentence
    back = undo
    clearTimeout(timer)
    timer = setTimeout(forget, 30_000)
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
