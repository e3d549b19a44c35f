import type { Outline, OutlineEdits, OutlineSection } from '@/api/types'

export type SectionEdit = OutlineEdits['sections'][string]

const empty = (e: SectionEdit) => !e.heading && e.words === undefined && !e.dropped && !e.added

/** The edits with one section's changed; one that says nothing any more is left out. */
export function withSection(edits: OutlineEdits, key: string, change: Partial<SectionEdit>): OutlineEdits {
  const section: SectionEdit = { ...edits.sections[key], ...change }
  for (const name of Object.keys(section) as (keyof SectionEdit)[])
    if (section[name] === undefined || section[name] === '' || section[name] === false) delete section[name]
  const sections = { ...edits.sections, [key]: section }
  if (empty(section)) delete sections[key]
  return { ...edits, sections }
}

/** The edits with a section moved to where another one stands. */
export function moved(outline: Outline, key: string, to: number): OutlineEdits {
  const order = outline.sections.map((s) => s.key)
  const from = order.indexOf(key)
  const at = Math.max(0, Math.min(to, order.length - 1))
  if (from < 0 || from === at) return outline.edits
  order.splice(at, 0, ...order.splice(from, 1))
  return { ...outline.edits, order }
}

/** The edits with a section of the user's own, behind all others. */
export function withAdded(outline: Outline, heading: string): OutlineEdits {
  const taken = new Set(outline.sections.map((s) => s.key))
  let n = 1
  while (taken.has(`added: ${n}`)) n++
  return withSection(outline.edits, `added: ${n}`, { added: true, heading })
}

/** The words of all sections to write together. */
export const toWrite = (sections: OutlineSection[]) =>
  sections.reduce((sum, s) => sum + (s.dropped ? 0 : s.words), 0)
