import type { BookRow, Ground } from '@/api/client'
import { count } from '@/parts/format'

/** A figure, a dash where it is not known. */
export const figure = (n: number | null | undefined) => (n === null || n === undefined ? '–' : count(n))

/** Why a family is where it is: the words that decided, or what the user said. */
export function why(row: BookRow): string {
  if (row.choice.state) return row.choice.reason || 'your choice'
  if (row.intent === 'hire') return row.near_miss ? `${row.reason} · near` : row.reason
  return row.reason ? `${row.intent}: ${row.reason}` : 'too broad'
}

/** How a gain was worked out, in words: an estimate always. */
export function sum(row: BookRow): string {
  const [lead, ...others] = row.members
  const known = others.filter((m) => m.volume !== null)
  const searches = known.length
    ? `${count(row.volume)} searches (${figure(lead!.volume)} and half of ${known.map((m) => count(m.volume!)).join(', ')})`
    : `${figure(lead!.volume)} searches`
  if (lead!.volume === null && !known.length)
    return 'How often it is searched for is not known: it counts as none.'
  return `Estimate: ${searches}, ${row.now.toFixed(1)} visits now, ${row.then.toFixed(1)} at position ${row.aimed} in ${Math.round(row.months)} months.`
}

/** What the places of the map pack bring, shown beside and never added. */
export const mapPack = (row: BookRow) =>
  `Beside it, not counted: about ${row.map.map((v) => v.toFixed(0)).join(', ')} visits for the first, second and third place of the map pack.`

/** What the gain is worth, where a job's worth and the customers are known. */
export function worth(row: BookRow, ground: Ground): string {
  const job = ground.services.find((x) => x.name === row.service)?.worth ?? 0
  return `Estimate: ${ground.customers} of 100 visits become customers, one job of ${row.service} brings ${ground.money}${count(job)}: about ${ground.money}${count(row.worth)} a month.`
}

/** The lines that a family unfolds to: its sums, a conflict, and the phrases. */
export const unfolded = (row: BookRow) =>
  (row.volume > 0 ? 2 : 1) + (row.worth > 0 ? 1 : 0) + (row.conflict.length ? 1 : 0) + row.members.length
