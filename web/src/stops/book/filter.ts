import type { BookRow } from '@/api/client'
import { words } from '@/parts/format'

/** What of the book is shown. */
export interface Filter {
  part: Part
  near: boolean
  service: string
  place: string
  page: string
  words: string
}

export type Part = 'kept' | 'questions' | 'brand' | 'elsewhere' | 'broad' | 'all'

export const parts: { part: Part; says: string }[] = [
  { part: 'kept', says: 'Worth writing for' },
  { part: 'questions', says: 'Questions' },
  { part: 'brand', says: 'Business names' },
  { part: 'elsewhere', says: 'Elsewhere' },
  { part: 'broad', says: 'Too broad' },
  { part: 'all', says: 'All' },
]

export const emptyFilter = (): Filter => ({
  part: 'kept',
  near: false,
  service: '',
  place: '',
  page: '',
  words: '',
})

function inPart(row: BookRow, part: Part): boolean {
  switch (part) {
    case 'all':
      return true
    case 'kept':
      return row.kept
    case 'questions':
      return !row.kept && row.intent === 'research'
    case 'broad':
      return !row.kept && (row.intent === 'broad' || row.intent === 'hire')
  }
  return !row.kept && row.intent === part
}

export const countIn = (rows: BookRow[], part: Part) => rows.filter((r) => inPart(r, part)).length

export function shown(rows: BookRow[], f: Filter): BookRow[] {
  const asked = words(f.words)
  return rows.filter(
    (r) =>
      inPart(r, f.part) &&
      (!f.near || r.near_miss) &&
      (!f.service || r.service === f.service) &&
      (!f.place || r.place === f.place) &&
      (!f.page || r.carrier === f.page) &&
      asked.every((w) => r.members.some((m) => m.text.includes(w))),
  )
}
