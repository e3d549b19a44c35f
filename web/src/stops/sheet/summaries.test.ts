import type { Column, Sheet } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { summaries } from './summaries'

const placed = (slots: Partial<Column['families'][number]['exact']> = {}) => ({ exact: slots, loose: {} })

function sheet(own: Record<string, unknown>, target: Record<string, unknown> = {}, families = 0): Sheet {
  const column = {
    role: 'client',
    reading_id: 1,
    headings: [],
    heading_count: 0,
    images: [],
    image_count: 0,
    carrying: 0,
    families: [],
    ...own,
  }
  const rival = { role: 'rival', reading_id: 2, words: { seen: 1720 } }
  const words = { target: 2000, to_write: 1455, hold: false, mark: 1720, ...target }
  return {
    page: { kind: 'home', url: 'http://brindle.example/' },
    families: Array.from({ length: families }, (_, i) => ({ key: String(i) })),
    columns: [column, rival],
    target: { words, mark_of: 1 },
  } as unknown as Sheet
}

describe('what the row of a group tells', () => {
  it.each([
    ['to write', {}, {}, '1,455 to write · the strongest comparable page has 1,720'],
    [
      'enough',
      {},
      { hold: true },
      'the page has enough words: work on placement · the strongest comparable page has 1,720',
    ],
    ['not read', { reading_id: 0 }, {}, 'not read: 2,000 words · the strongest comparable page has 1,720'],
  ])('words: %s', (_, own, target, says) => expect(summaries.words(sheet(own, target))).toBe(says))

  it('tells why there is no mark', () => {
    const s = sheet({}, { mark: 0 })
    s.target.mark_of = -1
    expect(summaries.words(s)).toBe('1,455 to write · no rival’s page was read')
    s.columns[1]!.unlike = true
    expect(summaries.words(s)).toBe('1,455 to write · no rival’s page is comparable')
    s.target.words.mark = 1500
    expect(summaries.words(s)).toBe('1,455 to write · the mark from the rivals’ pages is 1,500')
  })

  it.each([
    [[], 'no phrases yet: add them on the ground'],
    [[placed({ h1: 1 })], 'every family is in the title, the H1 or an image file name'],
    [[placed()], 'the phrase is missing from the title, the H1 and every image file name'],
    [
      [placed(), placed({ title: 1 })],
      '1 of 2 families is missing from the title, the H1 and every image file name',
    ],
    [
      [placed(), placed({ body: 4 })],
      'all 2 families are missing from the title, the H1 and every image file name',
    ],
  ])('phrases %#', (families, says) => {
    expect(summaries.phrases(sheet({ families }, {}, families.length))).toBe(says)
  })

  it('counts what is to be placed on a page that was not read', () => {
    expect(summaries.phrases(sheet({ reading_id: 0 }, {}, 1))).toBe('1 family to place')
    expect(summaries.phrases(sheet({ reading_id: 0 }, {}, 3))).toBe('3 families to place')
  })

  it.each([
    [[], 'no H1 · 0 headings'],
    [[{ level: 2, text: 'Soot' }], 'no H1 · 1 heading'],
    [
      [
        { level: 1, text: 'Sweeps' },
        { level: 2, text: 'Soot' },
      ],
      '1 H1: “Sweeps” · 2 headings',
    ],
  ])('headings %#', (headings, says) =>
    expect(summaries.headings(sheet({ headings, heading_count: headings.length }))).toBe(says),
  )

  it.each([
    [0, 4, '0 of 4 image file names hold a phrase'],
    [1, 1, '1 of 1 image file name holds a phrase'],
  ])('images %d of %d', (carrying, n, says) => {
    expect(summaries.images(sheet({ carrying, image_count: n }))).toBe(says)
  })

  it('tells nothing of a page that was not read', () => {
    const s = sheet({ reading_id: 0 })
    expect([summaries.headings(s), summaries.images(s)]).toEqual(['', ''])
  })
})
