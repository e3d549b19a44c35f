import type { OverviewRow } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { byMissing, haveOne, totals } from './rows'

const row = (r: Partial<OverviewRow>) =>
  ({ target: null, to_write: null, words: null, url: '', findings: [], ...r }) as OverviewRow

const home = row({ url: 'a', target: 2000, to_write: 1455, words: 545 })
const liners = row({ target: 750, to_write: 750 })
const area = row({ url: 'b', target: 750, to_write: 0, words: 800 })
const about = row({ url: 'c', words: 190 })
const copy = row({
  url: 'd',
  words: 545,
  findings: [{ type: 'second_copy', url: 'd', says: '', first: false }],
})

describe('all pages', () => {
  it('begin with what most is missing of', () => {
    expect(byMissing([about, area, copy, liners, home])).toEqual([home, liners, area, copy, about])
  })

  it('are summed up', () => {
    expect(totals([home, liners, area, about, copy])).toEqual({
      pages: 4,
      toMake: 1,
      words: 2080,
      toWrite: 2205,
    })
  })

  it('tell how many rivals have one', () => {
    expect(haveOne({ kind: 'service', have: 0, known: 0 })).toBe('')
    expect(haveOne({ kind: 'service', have: 0, known: 4 })).toBe('no rival has one')
    expect(haveOne({ kind: 'service', have: 1, known: 4 })).toBe('1 of 4 rivals has one')
    expect(haveOne({ kind: 'home', have: 2, known: 2 })).toBe('')
    expect(haveOne({ kind: 'service', have: 2, known: 4 })).toBe('2 of 4 rivals have one')
  })
})
