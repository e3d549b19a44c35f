import type { BookPhrase, BookRow, FamilyChoice, Ground } from '@/api/types'
import { count, figure, plural } from '@/parts/format'

/** Why a family is where it is: the words that decided, or what the user said. */
export function why(row: Pick<BookRow, 'choice' | 'why' | 'near_miss' | 'misspelled'>): string {
  if (row.choice.state) return row.choice.reason || 'your choice'
  if (row.misspelled) return 'misspelled: tie the word first'
  return row.near_miss ? `${row.why.says} · almost on page 1` : row.why.says
}

/** The areas in which searches are counted, as they are told beside a figure. */
export const areas: Record<BookPhrase['area'], string> = {
  '': 'area not known',
  town: 'town',
  state: 'state',
  country: 'country',
}

/**
 * The searches of a family as its row shows them: those that count, else those that
 * do not, with their area.
 */
export function searches(row: Pick<BookRow, 'members' | 'volume' | 'uncounted'>): {
  says: string
  area: string
} {
  const lead = row.members[0]!
  if (row.uncounted > 0 && row.volume === 0) return { says: count(row.uncounted), area: areas[lead.area] }
  return { says: figure(lead.volume === null ? null : row.volume), area: '' }
}

/** Why searches do not count. */
export const notCounted = (area: BookPhrase['area']) =>
  area
    ? `Counted in the whole ${areas[area]}, so not those of the town: they count for nothing`
    : 'It is not known where these searches were counted: they count for nothing'

/** A gain in a row: a dash for none worth naming. */
export const gainOf = (row: Pick<BookRow, 'gain'>) =>
  row.gain >= 0.05 ? row.gain.toFixed(row.gain < 10 ? 1 : 0) : '–'

/**
 * How a gain was worked out, in words: an estimate always.
 * @param otherShare with this share of their volume the members beside the lead count
 */
export function sum(row: BookRow, otherShare: number): string {
  const [lead, ...others] = row.members
  const known = others.filter((m) => m.volume !== null)
  if (row.uncounted > 0 && row.volume === 0) return `${notCounted(lead!.area)}.`
  if (lead!.volume === null && !known.length) return 'The search volume is not known, so it counts as none.'
  const volumes = known.map((m) => count(m.volume!)).join(', ')
  const told = known.length
    ? `${count(row.volume)} searches/mo (${figure(lead!.volume)} and ${otherShare * 100}% of ${volumes})`
    : `${figure(lead!.volume)} searches/mo`
  const then = `${row.then.toFixed(1)} at position ${row.aimed} in ${plural(Math.round(row.months), 'month')}`
  return `Estimate: ${told}, ${row.now.toFixed(1)} visits now, ${then}.`
}

/** What the families folded under a row add to its gain. */
export function alsoSum(row: Pick<BookRow, 'gain' | 'row_gain'>, also: BookRow[], share: number): string {
  const gains = also.filter((f) => f.gain >= 0.05).map((f) => gainOf(f))
  if (!gains.length) return 'Also searched, with nothing to add to the gain:'
  return `Also searched: ${share * 100}% of their gain (${gains.join(', ')}) makes ${gainOf(row)} into ${gainOf({ gain: row.row_gain })}.`
}

/** What the places of the map pack bring, shown beside and never added. */
export const mapPack = (row: Pick<BookRow, 'map'>) =>
  `Not included: about ${row.map.map((v) => v.toFixed(0)).join(', ')} visits for place 1, 2 and 3 of the map pack.`

/** What the gain is worth, if a job's worth and the customers are known. */
export function worth(row: Pick<BookRow, 'service' | 'worth'>, ground: Ground): string {
  const job = ground.services.find((x) => x.name === row.service)?.worth ?? 0
  const money = (n: number) => `${ground.money}${count(n)}`
  const customers = `${ground.customers} of 100 visits become customers`
  return `Estimate: ${customers}, one ${row.service} job brings ${money(job)}: about ${money(row.worth)} a month.`
}

/** The lines that a family unfolds to: its sums, a conflict, the phrases, and what is folded under it. */
export const unfolded = (row: Pick<BookRow, 'volume' | 'worth' | 'conflict' | 'members' | 'also'>) =>
  (row.volume > 0 ? 2 : 1) +
  (row.worth > 0 ? 1 : 0) +
  (row.conflict.length ? 1 : 0) +
  row.members.length +
  (row.also.length ? row.also.length + 1 : 0)

/** The families of each choice that was made before, so that one change brings all of them back to it. */
export function byChoice(keys: string[], families: Pick<BookRow, 'key' | 'choice'>[]) {
  const choices = new Map(families.map((f) => [f.key, f.choice]))
  const groups = new Map<string, { keys: string[] } & Pick<FamilyChoice, 'state' | 'reason'>>()
  for (const key of keys) {
    const { state, reason } = choices.get(key) ?? { state: '' as const, reason: '' }
    const group = groups.get(`${state} ${reason}`) ?? { keys: [], state, reason }
    group.keys.push(key)
    groups.set(`${state} ${reason}`, group)
  }
  return [...groups.values()]
}

/** The phrases of each family in which the user put them before, empty for the rule's. */
export function byPlace(phrases: Pick<BookPhrase, 'text' | 'with'>[]) {
  return [...new Set(phrases.map((p) => p.with))].map((was) => ({
    phrases: phrases.filter((p) => p.with === was).map((p) => p.text),
    with: was,
  }))
}
