import { QueryClient, QueryObserver } from '@tanstack/vue-query'
import { describe, expect, it, vi } from 'vitest'
import {
  bookQueryKey,
  lastRunQueryKey,
  planQueryKey,
  presetsQueryKey,
  sheetQueryKey,
  shelfQueryKey,
} from './calls'
import { follow, follows, isStale } from './follow'

const answer = (changed: string, body: unknown = {}, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: changed ? { Changed: changed } : {} })

/** Lets a change of the API be followed. */
const change = (cache: QueryClient, method: string, client: number, url: string, response: Response) =>
  follows(cache)(response, new Request('http://127.0.0.1/', { method }), { url, path: { client } } as never)

const plan = (client: number) => planQueryKey({ path: { client } })
const sheet = (client: number, page: number) => sheetQueryKey({ path: { client, page } })
const book = (client: number) => bookQueryKey({ path: { client } })

function filled() {
  const cache = new QueryClient()
  for (const key of [
    plan(1),
    sheet(1, 2),
    plan(3),
    shelfQueryKey(),
    book(1),
    lastRunQueryKey({ path: { client: 1 } }),
  ])
    cache.setQueryData(key, 'old')
  return cache
}
const stale = (cache: QueryClient) =>
  cache
    .getQueryCache()
    .getAll()
    .filter((query) => query.state.isInvalidated)
    .map(({ queryKey }) => {
      const [{ _id, path }] = queryKey as unknown as [{ _id: string; path?: object }]
      return [_id, ...Object.values(path ?? {})].join(' ')
    })

describe('following changes', () => {
  it('tells what is made from what changed', () => {
    expect(isStale(plan(1), 1, ['said'])).toBe(true)
    expect(isStale(sheet(1, 2), 1, ['said'])).toBe(false)
    expect(isStale(sheet(3, 2), 1, ['ground'])).toBe(false)
    expect(isStale(sheet(3, 2), undefined, ['yardstick'])).toBe(true)
    expect(isStale(shelfQueryKey(), 1, ['readings'])).toBe(true)
    expect(isStale(presetsQueryKey(), 1, ['yardstick'])).toBe(false)
  })

  it('asks again only for what is made from it', async () => {
    const cache = filled()
    await follow(cache, 1, ['said'])
    expect(stale(cache)).toEqual(['plan 1'])
    await follow(cache, 1, ['readings'])
    expect(stale(cache)).toEqual(['plan 1', 'sheet 1 2', 'shelf', 'book 1'])
  })

  it('shows what a change answers with', async () => {
    const cache = filled()
    const path = '/api/clients/{client}/plan/choices'
    await change(cache, 'PUT', 1, path, answer('said', { open: 3 }))
    expect(cache.getQueryData(plan(1))).toEqual({ open: 3 })
    expect(stale(cache)).toEqual([])
  })

  it('asks again for all of a client where a change was refused', async () => {
    const cache = filled()
    await change(cache, 'PUT', 1, '/api/clients/{client}/hours', answer('', {}, 422))
    expect(stale(cache)).toContain('sheet 1 2')
    expect(stale(cache)).not.toContain('plan 3')
  })

  it('takes no answer from before a change for the new one', async () => {
    const cache = new QueryClient()
    const answers: ((words: number) => void)[] = []
    const shown = new QueryObserver(cache, {
      queryKey: sheet(1, 2),
      queryFn: () => new Promise<number>((answer) => answers.push(answer)),
    })
    const end = shown.subscribe(() => {})
    await vi.waitFor(() => expect(answers.length).toBe(1)) // it is asked for the first time
    const followed = follow(cache, 1, ['readings'])
    await vi.waitFor(() => expect(answers.length).toBe(2))
    answers[0]!(545)
    answers[1]!(7)
    await followed
    expect(shown.getCurrentResult().data).toBe(7)
    end()
  })

  it('follows nothing that was only asked', async () => {
    const cache = filled()
    await change(cache, 'GET', 1, '/api/clients/{client}/plan', answer('said'))
    expect(stale(cache)).toEqual([])
  })
})
