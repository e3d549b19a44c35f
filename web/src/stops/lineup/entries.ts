import type { Entry, Recorded, SiteKind } from '@/api/types'

/** The kinds that a person may say, with the key that says each. */
export const kindKeys: { value: Entry['kind']; key: string; says: string }[] = [
  { value: 'business', key: 'b', says: 'business' },
  { value: 'directory', key: 'd', says: 'directory' },
  { value: 'list_article', key: 'l', says: 'list article' },
  { value: 'chain', key: 'c', says: 'chain' },
  { value: 'supplier', key: 's', says: 'supplier' },
  { value: 'other_trade', key: 'o', says: 'other trade' },
]

export const kindName = (kind: Entry['kind']) =>
  kind === 'client' ? 'the client' : (kindKeys.find((k) => k.value === kind)?.says ?? kind)

export const isOwn = (e: Pick<Entry, 'kind'>) => e.kind === 'client'

/** Whether a firm stands above already, with another entry. */
export const isDouble = (e: Pick<Entry, 'reason'>) => e.reason.code === 'taken_already'

/** Whether a person can use or dismiss an entry as rival: one needs a page. */
export const canBeRival = (e: Pick<Entry, 'kind' | 'url' | 'reason'>) => !isOwn(e) && !!e.url && !isDouble(e)

/** For what an entry is compared: its pages, its standing on the map, both; empty for nothing. */
export const roleOf = (e: Pick<Entry, 'page_rival' | 'map_rival'>) =>
  e.page_rival && e.map_rival
    ? 'page and map rival'
    : e.page_rival
      ? 'page rival'
      : e.map_rival
        ? 'map rival'
        : ''

/** A list of sites as text: a line each, the domain and what it is. */
export const siteListOf = (kinds: SiteKind[]) =>
  kinds.map((k) => `${k.domain} ${k.kind.replaceAll('_', ' ')}\n`).join('')

/** The kind that a key says, undefined for none. */
export const kindOfKey = (key: string) => kindKeys.find((k) => k.key === key.toLowerCase())?.value

/** Where the client stands, as far as the list was looked at: 11 of 20, not in the first 20. */
export function stand(position: number | undefined, looked: number): string {
  if (position) return looked > position ? `client at ${position} of ${looked}` : `client at ${position}`
  return looked ? `client not in the first ${looked}` : 'client not found'
}

/** The searches for one phrase from one place, the oldest first. */
export function history(recorded: Recorded[], of: { phrase: string; place: string }): Recorded[] {
  const key = (r: { phrase: string; place: string }) => `${r.phrase} ${r.place}`.toLowerCase()
  return recorded.filter((r) => key(r) === key(of)).sort((a, b) => a.recorded_at.localeCompare(b.recorded_at))
}

/**
 * The organic positions of a history as a line in a box of so many pixels, the first
 * place on top; where the client was not found the line runs along the foot.
 */
export function standLine(list: Recorded[], width: number, height: number): string {
  const worst = Math.max(10, ...list.map((r) => Math.max(r.organic, r.looked_at)))
  const y = (r: Recorded) =>
    r.organic ? ((r.organic - 1) / Math.max(worst - 1, 1)) * (height - 4) + 2 : height - 1
  const x = (i: number) => (list.length < 2 ? width / 2 : (i / (list.length - 1)) * (width - 4) + 2)
  return list.map((r, i) => `${i ? 'L' : 'M'}${x(i).toFixed(1)} ${y(r).toFixed(1)}`).join('')
}
