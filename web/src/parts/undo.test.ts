import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia, setActivePinia } from 'pinia'
import { createApp } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { UNDO_TIME, useUndo } from './undo'

let cache: QueryClient

beforeEach(() => {
  cache = new QueryClient()
  const pinia = createPinia()
  const app = createApp({}).use(pinia).use(VueQueryPlugin, { queryClient: cache })
  app.runWithContext(() => setActivePinia(pinia))
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

describe('undo', () => {
  it('takes changes back, the last one first', async () => {
    const undo = useUndo()
    const done: string[] = []
    undo.offer('one', async () => void done.push('one'))
    undo.offer('two', async () => void done.push('two'))
    expect(undo.said).toBe('two')
    await undo.undo()
    expect([undo.said, undo.offered]).toEqual(['Undone: two', false])
    await undo.undo()
    await undo.undo()
    expect(done).toEqual(['two', 'one'])
    expect(undo.canUndo).toBe(false)
  })

  it('is offered for a while, and can be done after that', async () => {
    const undo = useUndo()
    const back = vi.fn(async () => {})
    undo.offer('one', async () => {})
    vi.advanceTimersByTime(UNDO_TIME - 1)
    undo.offer('two', back)
    vi.advanceTimersByTime(UNDO_TIME - 1)
    expect(undo.said).toBe('two')
    vi.advanceTimersByTime(1)
    expect([undo.said, undo.canUndo]).toEqual(['', true])
    await undo.undo()
    expect(back).toHaveBeenCalledOnce()
  })

  it('waits for a change that is on its way, and takes that back', async () => {
    const undo = useUndo()
    const first = vi.fn(async () => {})
    const second = vi.fn(async () => {})
    undo.offer('one', first)
    let answer = () => {}
    const made = cache
      .getMutationCache()
      .build(cache, { mutationFn: () => new Promise<void>((done) => (answer = done)) })
      .execute(undefined)
      .then(() => undo.offer('two', second))
    await vi.advanceTimersByTimeAsync(1)
    const undone = undo.undo()
    await vi.advanceTimersByTimeAsync(1)
    expect(first).not.toHaveBeenCalled()
    answer()
    await made
    await vi.advanceTimersByTimeAsync(1)
    await undone
    expect(second).toHaveBeenCalledOnce()
    expect(first).not.toHaveBeenCalled()
  })

  it('says what is offered while it takes a change back', async () => {
    const undo = useUndo()
    undo.offer('one', async () => undo.offer('again', async () => {}))
    await undo.undo()
    expect(undo.said).toBe('again')
  })

  it('says what it fails for', async () => {
    const undo = useUndo()
    undo.offer('one', async () => Promise.reject({ detail: 'It changed elsewhere.' }))
    await undo.undo()
    expect(undo.said).toBe('It changed elsewhere.')
    expect(undo.offered).toBe(false)
  })
})
