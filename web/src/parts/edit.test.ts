import { describe, expect, it, vi } from 'vitest'
import { useEdit } from './edit'

const refused = () => Promise.reject({ code: 'changed_elsewhere', detail: 'The trade changed.' })

describe('an edit', () => {
  it('that is refused can be made again, over what is there by then', async () => {
    const { make, again } = useEdit()
    const made = make((told) => (told ? Promise.resolve('mine over theirs') : refused()))
    await vi.waitFor(() => expect(again.value).toBeDefined())
    await again.value!()
    expect(await made).toBe('mine over theirs')
    expect(again.value).toBeUndefined()
  })

  it('that is refused twice is still at hand', async () => {
    const { make, again } = useEdit()
    void make(refused)
    await vi.waitFor(() => expect(again.value).toBeDefined())
    await again.value!()
    expect(again.value).toBeDefined()
  })

  it('is given up for another one', async () => {
    const { make, again } = useEdit()
    const first = make(refused)
    await vi.waitFor(() => expect(again.value).toBeDefined())
    expect(await make(() => Promise.resolve('second'))).toBe('second')
    expect(await first).toBeNull()
    expect(again.value).toBeUndefined()
  })

  it('that fails for another reason is over', async () => {
    const { make, again } = useEdit()
    expect(await make(() => Promise.reject({ code: 'no_connection' }))).toBeNull()
    expect(again.value).toBeUndefined()
  })
})
