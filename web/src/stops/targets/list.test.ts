import { describe, expect, it } from 'vitest'
import type { Plan, Target } from '@/api/client'
import { cutInTwo, grouped, lines, says, shown } from './list'

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
