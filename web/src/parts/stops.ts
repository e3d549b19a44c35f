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

/** Where a stop of a client is; the last three are about one of its pages. */
export function stopLocation(name: StopName, client: number, page: number): RouteLocationRaw {
  const params = name === 'ground' || name === 'lineup' ? { client } : { client, page }
  return { name, params }
}
