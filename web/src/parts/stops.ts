import type { RouteLocationRaw } from 'vue-router'

export type StopName = 'ground' | 'lineup' | 'sheet' | 'targets' | 'hand-off'

/** The five stops of the route, in the order in which people work. */
export const stops: { name: StopName; label: string }[] = [
  { name: 'ground', label: 'Ground' },
  { name: 'lineup', label: 'Lineup' },
  { name: 'sheet', label: 'Sheet' },
  { name: 'targets', label: 'Targets' },
  { name: 'hand-off', label: 'Hand-off' },
]

/** Where a stop of a client is; sheet and hand-off are about one of its pages. */
export function stopLocation(name: StopName, client: number, page: number): RouteLocationRaw {
  if (name === 'hand-off') return pageLocation(name, client, page ? pageKey(page) : '')
  return { name, params: name === 'sheet' ? { client, page } : { client } }
}

/** Where a stop shows one page, by its key; without one the targets of all pages, and the first to hand off. */
export function pageLocation(name: StopName, client: number, key: string): RouteLocationRaw {
  if (name === 'targets' || name === 'hand-off')
    return { name, params: { client }, query: key ? { page: key } : {} }
  return { name, params: { client, page: Number(key.slice(1)) } }
}

/** The key of a page that has an id. */
export const pageKey = (id: number) => `p${id}`
