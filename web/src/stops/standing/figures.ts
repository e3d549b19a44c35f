import type { Standing, StandingCell, StandingRow, StandingSite } from '@/api/types'

/** The cell that the margin is open on. */
export interface Opened {
  row: string
  domain: string
}

/** A figure of a site, as the margin shows it. */
export interface SiteFigure {
  site: StandingSite
  row: StandingRow
  cell: StandingCell
}

/** The figure of a cell, undefined for one that is there no more. */
export function figureOf(s: Standing, at: Opened): SiteFigure | undefined {
  const i = s.sites.findIndex((x) => x.domain === at.domain)
  const row = s.groups.flatMap((g) => g.rows).find((r) => r.key === at.row)
  const cell = row?.cells[i]
  return row && cell && { site: s.sites[i]!, row, cell }
}

/** A number as people type it: null for none, NaN for what is no number. */
export function numberOf(typed: string): number | null {
  const text = typed.replace(/[,\s]/g, '')
  return text ? Number(text) : null
}

/** Where a site stands in the main search, in a few words. */
export function standsAt(s: StandingSite): string {
  if (s.chain) return 'whole country'
  const places = [s.map ? `map ${s.map}` : '', s.organic ? `organic ${s.organic}` : ''].filter(Boolean)
  return places.join(' · ') || 'not in the search'
}
