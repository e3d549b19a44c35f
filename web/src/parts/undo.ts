import { useQueryClient } from '@tanstack/vue-query'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Problem } from '@/api/types'

/** For how long a change is offered to be undone, in milliseconds; Ctrl Z undoes it after that too. */
export const UNDO_TIME = 20_000

interface Change {
  says: string
  undo: () => Promise<unknown>
}

/** What was changed, the last change last, and how it is undone. */
export const useUndo = defineStore('undo', () => {
  const cache = useQueryClient()
  /** What is told, and whether it can be undone. */
  const said = ref('')
  const offered = ref(false)
  const changes = shallowRef<Change[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined

  function tell(sentence: string, canUndo: boolean) {
    clearTimeout(timer)
    said.value = sentence
    offered.value = canUndo
    timer = setTimeout(forget, UNDO_TIME)
  }

  /** Offers to undo a change that was just made. */
  function offer(says: string, undo: () => Promise<unknown>) {
    changes.value = [...changes.value, { says, undo }]
    tell(says, true)
  }

  /** Waits for the changes that are on their way: what is undone is the last one, not the one before. */
  const answered = () =>
    new Promise<void>((done) => {
      if (!cache.isMutating()) return done()
      const stop = cache.getMutationCache().subscribe(() => {
        if (cache.isMutating()) return
        stop()
        setTimeout(done) // who made the change offers to undo it first
      })
    })

  /** Undoes the last change; what it fails for is said in its place. */
  async function undo() {
    await answered()
    const last = changes.value.at(-1)
    if (!last) return
    changes.value = changes.value.slice(0, -1)
    forget()
    try {
      await last.undo()
      if (!said.value) tell(`Undone: ${last.says}`, false)
    } catch (failure) {
      tell((failure as Problem).detail, false)
    }
  }

  /** Takes the offer away; the change can still be undone by key. */
  function forget() {
    clearTimeout(timer)
    said.value = ''
    offered.value = false
  }

  const canUndo = computed(() => changes.value.length > 0)
  return { said, offered, canUndo, offer, undo, forget }
})
