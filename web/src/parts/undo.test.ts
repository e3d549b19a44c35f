import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { UNDO_TIME, useUndo } from './undo'

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

describe('undo', () => {
  it('takes the last change back, once', async () => {
    const undo = useUndo()
    const first = vi.fn(async () => {})
    const second = vi.fn(async () => {})
    undo.offer('one', first)
    undo.offer('two', second)
    expect(undo.said).toBe('two')
    await undo.undo()
    await undo.undo()
    expect(first).not.toHaveBeenCalled()
    expect(second).toHaveBeenCalledOnce()
    expect(undo.said).toBe('')
  })

  it('gives every change its whole time', () => {
    const undo = useUndo()
    undo.offer('one', async () => {})
    vi.advanceTimersByTime(UNDO_TIME - 1)
    undo.offer('two', async () => {})
    vi.advanceTimersByTime(UNDO_TIME - 1)
    expect(undo.said).toBe('two')
    vi.advanceTimersByTime(1)
    expect(undo.said).toBe('')
  })

  it('offers nothing anew while it takes a change back', async () => {
    const undo = useUndo()
    undo.offer('one', async () => undo.offer('again', async () => {}))
    await undo.undo()
    expect(undo.said).toBe('again')
  })

  it('says what it fails for', async () => {
    const undo = useUndo()
    undo.offer('one', async () => Promise.reject(new Error('It changed elsewhere.')))
    await undo.undo()
    expect(undo.said).toBe('It changed elsewhere.')
    expect(undo.canUndo).toBe(false)
  })
})
