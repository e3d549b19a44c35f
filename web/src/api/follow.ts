import { hashKey, type Query, type QueryClient } from '@tanstack/vue-query'
import { bookQueryKey, planQueryKey, siteKindsQueryKey } from './calls'
import type { ResolvedRequestOptions } from './gen/client'
import madeOf from './madeof.json'

/** What each query is made from: the facets of a client, as the program names them, by its operation. */
const facetsOf: Record<string, string[]> = madeOf

/** The key of a query: the operation, and what it was asked with. */
type Key = readonly [{ _id: string; path?: { client?: number } }?, ...unknown[]]

/** The client that a query is of; without one it is of all. */
const clientOf = (key: readonly unknown[]) => (key as Key)[0]?.path?.client

/** Whether a query is made from what changed of a client, of any for none. */
export function isStale(key: readonly unknown[], client: number | undefined, changed: readonly string[]) {
  const of = clientOf(key)
  if (client !== undefined && of !== undefined && of !== client) return false
  return (facetsOf[(key as Key)[0]?._id ?? ''] ?? []).some((facet) => changed.includes(facet))
}

/**
 * Asks again for what is made from what changed of a client, but for one query. What is asked for the first time just
 * now is given up before: its answer may be from before the change, and would be taken for the new one.
 */
export async function follow(
  cache: QueryClient,
  client: number | undefined,
  changed: readonly string[],
  but?: readonly unknown[],
) {
  const stale = {
    predicate: ({ queryKey }: Query) =>
      isStale(queryKey, client, changed) && hashKey(queryKey) !== (but && hashKey(but)),
  }
  await cache.cancelQueries(stale)
  await cache.invalidateQueries(stale)
}

/** Asks again for all of a client where a change was refused: it may have been made from what was. */
const refused = (cache: QueryClient, client: number | undefined) =>
  cache.invalidateQueries({
    predicate: ({ queryKey }: Query) =>
      clientOf(queryKey) === client || (queryKey as Key)[0]?._id === 'yardstick',
  })

const book = (client = 0) => bookQueryKey({ path: { client } })

/** Changes that answer with what a query shows: it need not be asked for again. */
const answered: Record<string, (client?: number) => readonly unknown[]> = {
  'PUT /api/clients/{client}/plan/choices': (client = 0) => planQueryKey({ path: { client } }),
  'PUT /api/clients/{client}/book/families': book,
  'PUT /api/clients/{client}/book/members': book,
  'PUT /api/clients/{client}/book/words': book,
  'PUT /api/clients/{client}/book/ties': book,
  'PUT /api/clients/{client}/book/area': book,
  'PUT /api/site-kinds': () => siteKindsQueryKey(),
}

/**
 * Follows all changes that are made through the API: the program tells with each what it changed, and
 * what is made from that is asked for again. Where a change is refused, what it was made from is.
 */
export const follows =
  (cache: QueryClient) =>
  async (response: Response, request: Request, { url, path }: ResolvedRequestOptions): Promise<Response> => {
    if (request.method === 'GET') return response
    const client = path?.client as number | undefined
    if (!response.ok) {
      await refused(cache, client)
      return response
    }
    const changed = response.headers.get('Changed')?.split(' ') ?? []
    if (request.method === 'DELETE' && url === '/api/clients/{client}')
      cache.removeQueries({ predicate: ({ queryKey }) => clientOf(queryKey) === client }) // nobody can ask for it
    const answer = answered[`${request.method} ${url}`]?.(client)
    if (answer) {
      await cache.cancelQueries({ queryKey: answer })
      cache.setQueryData(answer, await response.clone().json())
      void follow(cache, client, changed, answer) // it is shown already, and can be undone
    } else await follow(cache, client, changed)
    return response
  }
