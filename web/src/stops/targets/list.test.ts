import type { Plan, Target } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { cutInTwo, foldsIn, grouped, lines, says, shown, sumsOver, unfolded } from './list'

const target = (id: string, more: Partial<Target> = {}): Target =>
  ({
    id,
    page: 'p1',
    key: id,
    kind: 'placing',
    front: 'phrases',
    before: 'Use',
    pencil: 'Chimney sweep',
    after: 'in 2 places',
    fits: true,
    gain: 1,
    parts: [],
    choice: { state: 'open' },
    ...more,
  }) as unknown as Target

const plan = (targets: Target[], telling: string[] = []): Plan =>
  ({
    targets,
    telling,
    pages: [
      { key: 'p1', page: { kind: 'home', service: '', place: '' } },
      { key: 'service: liners', page: { kind: 'service', service: 'liners', place: '' } },
    ],
  }) as unknown as Plan

describe('the list of targets', () => {
  const a = target('a')
  const b = target('b', { page: 'service: liners', front: 'pages', fits: false })
  const c = target('c', { choice: { state: 'dropped' }, fits: false })
  const p = plan([a, b, c], ['b', 'a'])

  it('shows one page or all, and what was dropped only if asked for', () => {
    expect(shown(p, '', false)).toEqual([a, b])
    expect(shown(p, 'p1', true)).toEqual([a, c])
  })

  it('groups by front in the order of telling, and by page in that of the pages', () => {
    expect(grouped(p, [a, b, c], 'front').map((g) => [g.title, g.targets.length])).toEqual([
      ['Pages', 1],
      ['Phrases and headings', 2],
    ])
    expect(grouped(p, [b, a], 'page').map((g) => g.title)).toEqual(['Home', 'Liners'])
    const gone = target('e', { page: 'p9' })
    expect(grouped(p, [gone, a], 'page').map((g) => g.title)).toEqual(['Home', 'Removed pages'])
    expect(grouped(p, [a, b], 'work')).toHaveLength(1)
  })

  it('draws the line behind what fits', () => {
    expect(cutInTwo([a, b, c])).toEqual({ above: [a], below: [b, c] })
  })

  it('has a line for each part of what is open', () => {
    const open = target('d', { parts: [{ key: 'title', before: 'use', pencil: 'X', after: '' }] as never })
    expect(lines([a, open], new Set(['d']))).toHaveLength(3)
    expect(lines([a, open], new Set())).toHaveLength(2)
    expect(says(lines([open], new Set(['d']))[1]!)).toBe('use X')
    expect(says({ target: a })).toBe('Use Chimney sweep in 2 places')
  })
})

describe('small lines', () => {
  const small: Plan = {
    ...plan([target('a'), target('b'), target('c')]),
    folded: [{ page: 'p1', says: 'Home: 2 small lines', gain: 1, minutes: 9, targets: ['a', 'c'] }],
  }
  const ids = (list: Target[]) => list.map((t) => t.id)

  it('stand folded where the first of them does', () => {
    const list = small.targets
    expect(ids(unfolded(small, list, new Set()))).toEqual(['b'])
    expect(
      foldsIn(
        small,
        list.filter((t) => t.id !== 'a'),
      ),
    ).toEqual([])
    expect(foldsIn(small, list)).toHaveLength(1)
  })

  it('stand in their places when their page is opened', () => {
    expect(ids(unfolded(small, small.targets, new Set(['p1'])))).toEqual(ids(small.targets))
  })
})

describe('by front', () => {
  const words = (id: string, page: string) => target(id, { page, front: 'words', kind: 'slice' })
  const p = plan([words('a', 'p1'), words('b', 'service: liners'), words('c', 'p1')], ['a', 'b', 'c'])

  it('tells the words of a page once, over its sections', () => {
    const list = grouped(p, p.targets, 'front')[0]!.targets
    expect(list.map((t) => t.id)).toEqual(['a', 'c', 'b'])
    p.pages[0]!.page = { ...p.pages[0]!.page, words: 545, to_write: 1455 }
    expect([...sumsOver(p, list)]).toEqual([
      ['a', 'Home: write 1,455 words, 545 → 2,000'],
      ['b', ''],
    ])
  })
})
