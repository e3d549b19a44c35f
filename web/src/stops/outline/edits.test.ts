import type { Outline } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { moved, toWrite, withAdded, withSection } from './edits'

const outline = {
  sections: [
    { key: 'lead', words: 100, dropped: false },
    { key: 'towns', words: 50, dropped: true },
    { key: 'about', words: 30, dropped: false },
  ],
  edits: { order: [], sections: {}, alone: false },
} as unknown as Outline

describe('the edits of an outline', () => {
  it('hold what was changed of a section, and nothing else', () => {
    const one = withSection(outline.edits, 'about', { heading: 'Who we are' })
    const two = withSection(one, 'about', { words: 0 })
    expect(two.sections.about).toEqual({ heading: 'Who we are', words: 0 })
    const back = withSection(withSection(two, 'about', { heading: '' }), 'about', { words: undefined })
    expect(back.sections).toEqual({})
  })

  it('move a section', () => {
    expect(moved(outline, 'about', 0).order).toEqual(['about', 'lead', 'towns'])
    expect(moved(outline, 'lead', 9).order).toEqual(['towns', 'about', 'lead'])
    expect(moved(outline, 'lead', 0)).toBe(outline.edits)
    expect(moved(outline, 'gone', 0)).toBe(outline.edits)
  })

  it('add a section under a key of its own', () => {
    const edits = withAdded(outline, 'Prices')
    expect(edits.sections['added: 1']).toEqual({ added: true, heading: 'Prices' })
    const there = { ...outline, sections: [...outline.sections, { key: 'added: 1' }], edits } as Outline
    expect(Object.keys(withAdded(there, 'x').sections)).toEqual(['added: 1', 'added: 2'])
  })

  it('count what is to write', () => {
    expect(toWrite(outline.sections)).toBe(130)
  })
})
