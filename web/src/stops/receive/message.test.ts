import { describe, expect, it } from 'vitest'
import { readMessage } from './message'

const opener = {} as Window
const page = { inktally: 'page', nonce: 'n', key: 'k', url: 'https://a.example/x', title: 'A', html: '<p>A' }
const event = (data: unknown, source: unknown = opener) =>
  ({ origin: 'https://a.example', source, data }) as unknown as MessageEvent

describe('a message of a tab', () => {
  it('is a page with where it came from', () => {
    expect(readMessage(event(page), opener, 'n')).toEqual({
      page: { origin: 'https://a.example', key: 'k', url: 'https://a.example/x', title: 'A', html: '<p>A' },
    })
  })

  it('counts only from the tab that opened this one, with the word that it was given', () => {
    expect(readMessage(event(page, {}), opener, 'n')).toBeUndefined()
    expect(readMessage(event({ ...page, nonce: 'other' }), opener, 'n')).toBeUndefined()
    expect(readMessage(event('page'), opener, 'n')).toBeUndefined()
    expect(readMessage(event(null), opener, 'n')).toBeUndefined()
  })

  it('is refused in a sentence if there is no page', () => {
    expect(readMessage(event({ ...page, blank: true }), opener, 'n')).toEqual({
      refused: expect.stringContaining('blank'),
    })
    expect(readMessage(event({ ...page, bytes: 63 << 20 }), opener, 'n')).toEqual({
      refused: expect.stringContaining('63 MB'),
    })
    expect(readMessage(event({ ...page, html: 7 }), opener, 'n')).toEqual({
      refused: expect.stringContaining('empty'),
    })
  })
})
