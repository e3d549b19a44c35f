import type { BookRow, Ground } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { byChoice, byPlace, mapPack, sum, why, worth } from './family'
import { countIn, emptyFilter, shown } from './filter'

const row = (of: Partial<BookRow>): BookRow =>
  ({
    key: 'k',
    intent: 'hire',
    kept: true,
    near_miss: false,
    misspelled: false,
    service: '',
    place: '',
    carrier: 'home',
    why: { code: 'service_and_place', says: 'chimney sweep, Tarn Harbor' },
    choice: { state: '', reason: '', lead: '' },
    members: [{ text: 'chimney sweep', volume: null }],
    conflict: [],
    also: [],
    under: '',
    wanted: [],
    uncounted: 0,
    ...of,
  }) as BookRow

describe('why a family is where it is', () => {
  it.each([
    [{}, 'chimney sweep, Tarn Harbor'],
    [{ near_miss: true }, 'chimney sweep, Tarn Harbor · almost on page 1'],
    [{ misspelled: true }, 'misspelled: tie the word first'],
    [{ choice: { state: 'aside' as const, reason: '', lead: '' } }, 'your choice'],
    [{ choice: { state: 'kept' as const, reason: 'asked for', lead: '' } }, 'asked for'],
  ])('%#', (of, says) => expect(why(row(of))).toBe(says))
})

describe('the sum of a gain', () => {
  const members = (...volumes: (number | null)[]) => volumes.map((volume) => ({ text: 'x', volume }) as never)
  const figures = { volume: 490, now: 3.43, then: 161.7, aimed: 1, months: 4 }
  it('names the lead and the share of the others', () => {
    expect(sum(row({ ...figures, members: members(380, 220, null) }), 0.5)).toBe(
      'Estimate: 490 searches/mo (380 and 50% of 220), 3.4 visits now, 161.7 at position 1 in 4 months.',
    )
  })
  it('names the lead alone', () => {
    expect(sum(row({ ...figures, months: 1, members: members(380) }), 0.5)).toBe(
      'Estimate: 380 searches/mo, 3.4 visits now, 161.7 at position 1 in 1 month.',
    )
  })
  it('says that nothing is known', () => {
    expect(sum(row({ members: members(null, null) }), 0.5)).toBe(
      'The search volume is not known, so it counts as none.',
    )
  })
  it('tells the map pack beside it, and the worth', () => {
    expect(mapPack(row({ map: [88.2, 58.8, 44.1] }))).toContain('about 88, 59, 44 visits')
    const ground = { money: '$', customers: 4, services: [{ name: 'chimney sweep', worth: 280 }] } as Ground
    expect(worth(row({ service: 'chimney sweep', worth: 1730 }), ground)).toBe(
      'Estimate: 4 of 100 visits become customers, one chimney sweep job brings $280: about $1,730 a month.',
    )
  })
})

describe('taking changes back', () => {
  it('brings families back to what was said of each', () => {
    const was = (key: string, state: '' | 'kept' | 'aside', reason = '') => ({
      key,
      choice: { state, reason, lead: '' },
    })
    expect(byChoice(['a', 'b', 'c'], [was('a', ''), was('b', 'kept', 'ours'), was('c', '')])).toEqual([
      { keys: ['a', 'c'], state: '', reason: '' },
      { keys: ['b'], state: 'kept', reason: 'ours' },
    ])
  })
  it('brings phrases back to where each was', () => {
    const phrases = [
      { text: 'a', with: '' },
      { text: 'b', with: 'x' },
      { text: 'c', with: '' },
    ]
    expect(byPlace(phrases)).toEqual([
      { phrases: ['a', 'c'], with: '' },
      { phrases: ['b'], with: 'x' },
    ])
  })
})

describe('what is shown of a book', () => {
  const rows = [
    row({ key: 'kept', service: 'sweep', near_miss: true }),
    row({ key: 'question', kept: false, intent: 'question' }),
    row({ key: 'dismissed', kept: false, intent: 'hire' }),
    row({ key: 'broad', kept: false, intent: 'broad', members: [{ text: 'soot', volume: 1 }] as never }),
  ]
  const keysOf = (f: Partial<ReturnType<typeof emptyFilter>>) =>
    shown(rows, { ...emptyFilter(), ...f }).map((r) => r.key)
  it.each([
    [{}, ['kept']],
    [{ part: 'questions' as const }, ['question']],
    [{ part: 'broad' as const }, ['dismissed', 'broad']],
    [{ part: 'all' as const, words: ' SOOT' }, ['broad']],
    [{ part: 'all' as const, near: true }, ['kept']],
    [{ part: 'all' as const, service: 'roof' }, []],
  ])('%#', (f, keys) => expect(keysOf(f)).toEqual(keys))
  it('counts each part', () => {
    expect((['kept', 'questions', 'broad', 'all'] as const).map((p) => countIn(rows, p))).toEqual([
      1, 1, 2, 4,
    ])
  })
})
