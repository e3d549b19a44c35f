import type { OverviewRow } from '@/api/types'

/** What most is missing of comes first; pages that no words are asked of come last, those with findings before. */
export function byMissing(rows: OverviewRow[]): OverviewRow[] {
  const asked = (r: OverviewRow) => (r.target === null ? 0 : 1)
  return [...rows].sort(
    (a, b) =>
      asked(b) - asked(a) ||
      (b.to_write ?? 0) - (a.to_write ?? 0) ||
      b.findings.length - a.findings.length ||
      (b.words ?? 0) - (a.words ?? 0),
  )
}

export interface Totals {
  pages: number
  toMake: number
  words: number
  toWrite: number
}

/** What the pages come to. */
export function totals(rows: OverviewRow[]): Totals {
  const sum = (of: (r: OverviewRow) => number) => rows.reduce((n, r) => n + of(r), 0)
  return {
    pages: rows.filter((r) => r.url).length,
    toMake: rows.filter((r) => !r.url).length,
    words: sum((r) => r.words ?? 0),
    toWrite: sum((r) => (r.target === null ? 0 : (r.to_write ?? 0))),
  }
}

/** How many rivals have a page like one, as a sentence; empty where no site is known. */
export function haveOne(r: Pick<OverviewRow, 'kind' | 'have' | 'known'>): string {
  if (!r.known || r.kind === 'home') return ''
  if (!r.have) return 'no rival has one'
  return `${r.have} of ${r.known} ${r.known === 1 ? 'rival' : 'rivals'} ${r.have === 1 ? 'has' : 'have'} one`
}
