import { QueryClient } from '@tanstack/vue-query'
import { describe, expect, it } from 'vitest'
import { follow, follows, isStale } from './follow'
import { keys } from './keys'

const answer = (changed: string, body: unknown = {}, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: changed ? { Changed: changed } : {} })

/** Lets a change of the API be followed. */
const change = (cache: QueryClient, method: string, path: string, schemaPath: string, response: Response) =>
  follows(cache).onResponse?.({
    request: new Request(`http://127.0.0.1/api${path}`, { method }),
    response,
    schemaPath,
  } as never)

function filled() {
  const cache = new QueryClient()
  for (const key of [keys.plan(1), keys.sheet(1, 2), keys.plan(3), keys.shelf, keys.book(1), keys.run(1)])
    cache.setQueryData(key, 'old')
  return cache
}
const stale = (cache: QueryClient) =>
  cache
    .getQueryCache()
    .getAll()
    .filter((query) => query.state.isInvalidated)
    .map((query) => query.queryKey.join(' '))

describe('following changes', () => {
  it('tells what is made from what changed', () => {
    expect(isStale(keys.plan(1), 1, ['said'])).toBe(true)
    expect(isStale(keys.sheet(1, 2), 1, ['said'])).toBe(false)
    expect(isStale(keys.sheet(3, 2), 1, ['ground'])).toBe(false)
    expect(isStale(keys.sheet(3, 2), undefined, ['yardstick'])).toBe(true)
    expect(isStale(keys.shelf, 1, ['readings'])).toBe(true)
    expect(isStale(keys.presets, 1, ['yardstick'])).toBe(false)
  })

  it('asks again only for what is made from it', async () => {
    const cache = filled()
    await follow(cache, 1, ['said'])
    expect(stale(cache)).toEqual(['client 1 plan'])
    await follow(cache, 1, ['readings'])
    expect(stale(cache)).toEqual(['client 1 plan', 'client 1 sheet 2', 'shelf', 'client 1 book'])
  })

  it('shows what a change answers with', async () => {
    const cache = filled()
    const path = '/api/clients/{client}/plan/choices'
    await change(cache, 'PUT', '/clients/1/plan/choices', path, answer('said', { open: 3 }))
    expect(cache.getQueryData(keys.plan(1))).toEqual({ open: 3 })
    expect(stale(cache)).toEqual([])
  })

  it('asks again for all of a client where a change was refused', async () => {
    const cache = filled()
    await change(cache, 'PUT', '/clients/1/hours', '/api/clients/{client}/hours', answer('', {}, 422))
    expect(stale(cache)).toContain('client 1 sheet 2')
    expect(stale(cache)).not.toContain('client 3 plan')
  })

  it('follows nothing that was only asked', async () => {
    const cache = filled()
    await change(cache, 'GET', '/clients/1/plan', '/api/clients/{client}/plan', answer('said'))
    expect(stale(cache)).toEqual([])
  })
})
