import type { BookRow } from '@/api/types'
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

export type Part = 'kept' | 'unsure' | 'questions' | 'not_offered' | 'brand' | 'elsewhere' | 'broad' | 'all'

export const parts: { part: Part; says: string }[] = [
  { part: 'kept', says: 'Worth writing for' },
  { part: 'unsure', says: 'Unsure' },
  { part: 'questions', says: 'Questions' },
  { part: 'not_offered', says: 'Not offered' },
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

/** Whether a family waits for a verdict on a word. */
export const isUnsure = (row: BookRow) => row.kept && row.intent === 'unsure' && !row.choice.state

function inPart(row: BookRow, part: Part): boolean {
  switch (part) {
    case 'all':
      return true
    case 'kept':
      return row.kept
    case 'unsure':
      return isUnsure(row)
    case 'questions':
      return !row.kept && row.intent === 'question'
    case 'broad':
      return !row.kept && ['broad', 'hire', 'unsure'].includes(row.intent)
  }
  return !row.kept && row.intent === part
}

export const countIn = (rows: BookRow[], part: Part) => rows.filter((r) => inPart(r, part)).length

/** The rows to show. What is folded under a row stands in it, unless it is looked for by its words. */
export function shown(rows: BookRow[], f: Filter): BookRow[] {
  const asked = words(f.words)
  return rows.filter(
    (r) =>
      (!r.under || f.part !== 'kept' || asked.length > 0) &&
      inPart(r, f.part) &&
      (!f.near || r.near_miss) &&
      (!f.service || r.service === f.service) &&
      (!f.place || r.place === f.place) &&
      (!f.page || r.carrier === f.page) &&
      asked.every((w) => r.members.some((m) => m.text.includes(w))),
  )
}
