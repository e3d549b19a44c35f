import { hashKey, type Query, type QueryClient } from '@tanstack/vue-query'
import type { Middleware } from 'openapi-fetch'
import { keys } from './keys'
import madeOf from './madeof.json'

/** What each query is made from: the facets of a client, as the program names them. */
const facetsOf: Record<string, string[]> = madeOf

/** The client of a query and what it is called, by its key; without a client it is of all. */
function named([first, second, third]: readonly unknown[]) {
  return first === 'client'
    ? { client: second, name: String(third) }
    : { client: undefined, name: String(first) }
}

/** Whether a query is made from what changed of a client, of any for none. */
export function isStale(key: readonly unknown[], client: number | undefined, changed: readonly string[]) {
  const query = named(key)
  if (client !== undefined && query.client !== undefined && query.client !== client) return false
  return (facetsOf[query.name] ?? []).some((facet) => changed.includes(facet))
}

/** Asks again for what is made from what changed of a client, but for one query. */
export const follow = (
  cache: QueryClient,
  client: number | undefined,
  changed: readonly string[],
  but?: readonly unknown[],
) =>
  cache.invalidateQueries({
    predicate: ({ queryKey }: Query) =>
      isStale(queryKey, client, changed) && hashKey(queryKey) !== (but && hashKey(but)),
  })

/** Asks again for all of a client where a change was refused: it may have been made from what was. */
const refused = (cache: QueryClient, client: number | undefined) =>
  cache.invalidateQueries({
    predicate: ({ queryKey: [first, of] }: Query) =>
      first === 'yardstick' || (first === 'client' && of === client),
  })

/** Changes that answer with what a query shows: it need not be asked for again. */
const answered: Record<string, (client: number) => readonly unknown[]> = {
  'PUT /api/clients/{client}/plan/choices': keys.plan,
  'PUT /api/clients/{client}/book/families': keys.book,
  'PUT /api/clients/{client}/book/members': keys.book,
  'PUT /api/clients/{client}/book/words': keys.book,
  'PUT /api/clients/{client}/book/ties': keys.book,
  'PUT /api/clients/{client}/book/area': keys.book,
}

/**
 * Follows all changes that are made through the API: the program tells with each what it changed, and
 * what is made from that is asked for again. Where a change is refused, what it was made from is.
 */
export function follows(cache: QueryClient): Middleware {
  return {
    async onResponse({ request, response, schemaPath }) {
      if (request.method === 'GET') return
      const of = /\/api\/clients\/(\d+)/.exec(request.url)?.[1]
      const client = of === undefined ? undefined : Number(of)
      const changed = response.headers.get('Changed')?.split(' ')
      const answer = client !== undefined && answered[`${request.method} ${schemaPath}`]?.(client)
      if (changed && answer) {
        await cache.cancelQueries({ queryKey: answer })
        cache.setQueryData(answer, await response.clone().json())
        void follow(cache, client, changed, answer) // it is shown already, and can be undone
      } else if (changed) await follow(cache, client, changed)
      else if (!response.ok) await refused(cache, client)
    },
  }
}
