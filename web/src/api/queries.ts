import { skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { api, taken, type Business, type Choice, type Run } from './client'

type Id = MaybeRefOrGetter<number>

/** Lists all clients. */
export function useShelf() {
  return useQuery({ queryKey: ['shelf'], queryFn: () => taken(api.GET('/api/clients')) })
}

export function useGround(client: Id) {
  return useQuery({
    queryKey: ['client', client, 'ground'],
    queryFn: () => taken(api.GET('/api/clients/{client}', { params: { path: { client: toValue(client) } } })),
  })
}

export function useLineup(client: Id) {
  return useQuery({
    queryKey: ['client', client, 'lineup'],
    queryFn: () =>
      taken(api.GET('/api/clients/{client}/lineup', { params: { path: { client: toValue(client) } } })),
  })
}

/**
 * The newest run, null where there was none. It comes by events alone
 * (useProgress): an answer that was asked for could be older than an event that
 * came meanwhile, and put it back.
 */
export function useRun(client: Id) {
  return useQuery<Run | null>({ queryKey: ['client', client, 'run'], queryFn: skipToken })
}

export function useSheet(client: Id, page: Id) {
  return useQuery({
    queryKey: ['client', client, 'sheet', page],
    queryFn: () => taken(api.GET('/api/clients/{client}/pages/{page}/sheet', pathOf(client, page))),
  })
}

export function useTargets(client: Id, page: Id) {
  return useQuery({
    queryKey: ['client', client, 'targets', page],
    queryFn: () => taken(api.GET('/api/clients/{client}/pages/{page}/targets', pathOf(client, page))),
  })
}

export function useBrief(client: Id, page: Id) {
  return useQuery({
    queryKey: ['client', client, 'brief', page],
    queryFn: () => taken(api.GET('/api/clients/{client}/pages/{page}/brief', pathOf(client, page))),
  })
}

/** What a figure of the sheet was counted in, with a phrase marked. */
export function useEvidence(
  client: Id,
  page: Id,
  entry: Id,
  phrase: MaybeRefOrGetter<string>,
  enabled: MaybeRefOrGetter<boolean>,
) {
  return useQuery({
    queryKey: ['client', client, 'evidence', page, entry, phrase],
    enabled: computed(() => toValue(enabled)),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/pages/{page}/evidence', {
          params: {
            path: { client: toValue(client), page: toValue(page) },
            query: { entry: toValue(entry), phrase: toValue(phrase) },
          },
        }),
      ),
  })
}

/** All there is on a page of the sheet beside its words. */
export function usePageFacts(client: Id, page: Id, entry: Id) {
  return useQuery({
    queryKey: ['client', client, 'facts', page, entry],
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/pages/{page}/facts', {
          params: {
            path: { client: toValue(client), page: toValue(page) },
            query: { entry: toValue(entry) },
          },
        }),
      ),
  })
}

/** What a page's copy is made of, and what its rivals share. */
export function useMadeOf(client: Id, page: Id, entry: Id) {
  return useQuery({
    queryKey: ['client', client, 'made', page, entry],
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/pages/{page}/made-of', {
          params: {
            path: { client: toValue(client), page: toValue(page) },
            query: { entry: toValue(entry) },
          },
        }),
      ),
  })
}

function pathOf(client: Id, page: Id) {
  return { params: { path: { client: toValue(client), page: toValue(page) } } }
}

/** Changes of a client; all that is shown of it follows. */
export function useChanges(client: Id) {
  const cache = useQueryClient()
  const follow = () =>
    Promise.all([
      cache.invalidateQueries({ queryKey: ['client', toValue(client)] }),
      cache.invalidateQueries({ queryKey: ['shelf'] }),
    ])
  const path = () => ({ params: { path: { client: toValue(client) } } })
  const change = <T, R>(mutationFn: (value: T) => Promise<R>) =>
    useMutation({ mutationFn, onSettled: follow })

  return {
    saveGround: change((body: Business) => taken(api.PUT('/api/clients/{client}', { ...path(), body }))),
    search: change((phrase: string) =>
      taken(api.POST('/api/clients/{client}/lineup/search', { ...path(), body: { phrase } })),
    ),
    pasteRivals: change((addresses: string) =>
      taken(api.POST('/api/clients/{client}/lineup/rivals', { ...path(), body: { addresses } })),
    ),
    take: change(({ entry, taken: isTaken }: { entry: number; taken: boolean }) =>
      taken(
        api.PUT('/api/clients/{client}/lineup/{entry}', {
          params: { path: { client: toValue(client), entry } },
          body: { taken: isTaken },
        }),
      ),
    ),
    measure: change(() => taken(api.POST('/api/clients/{client}/run', path()))),
    readPage: change(({ url, way }: { url: string; way: '' | 'served' | 'browser' }) =>
      taken(api.POST('/api/clients/{client}/read', { ...path(), body: { url, way } })),
    ),
    resume: change((run: number) =>
      taken(
        api.POST('/api/clients/{client}/run/{run}/resume', {
          params: { path: { client: toValue(client), run } },
        }),
      ),
    ),
    overrule: change(({ run, url }: { run: number; url: string }) =>
      taken(
        api.POST('/api/clients/{client}/run/{run}/overrule', {
          params: { path: { client: toValue(client), run } },
          body: { url },
        }),
      ),
    ),
    stop: change((run: number) =>
      taken(
        api.POST('/api/clients/{client}/run/{run}/stop', {
          params: { path: { client: toValue(client), run } },
        }),
      ),
    ),
    choose: change(({ page, key, ...choice }: { page: number; key: string } & Choice) =>
      taken(
        api.PUT('/api/clients/{client}/pages/{page}/targets', {
          params: { path: { client: toValue(client), page } },
          body: { key, ...choice },
        }),
      ),
    ),
    setHours: change((hours: number) =>
      taken(api.PUT('/api/clients/{client}/hours', { ...path(), body: { hours } })),
    ),
    dropReadings: change((readings: number[]) =>
      Promise.all(
        readings.map((reading) =>
          taken(
            api.DELETE('/api/clients/{client}/readings/{reading}', {
              params: { path: { client: toValue(client), reading } },
            }),
          ),
        ),
      ),
    ),
    paste: change(({ page, entry, html }: { page: number; entry: number; html: string }) =>
      taken(
        api.POST('/api/clients/{client}/pages/{page}/paste', {
          params: { path: { client: toValue(client), page } },
          body: { entry, html },
        }),
      ),
    ),
  }
}

/** Makes and deletes clients. */
export function useClients() {
  const cache = useQueryClient()
  const onSettled = () => cache.invalidateQueries({ queryKey: ['shelf'] })
  return {
    add: useMutation({
      mutationFn: (body: Business) => taken(api.POST('/api/clients', { body })),
      onSettled,
    }),
    quick: useMutation({
      mutationFn: (body: { address: string; phrase: string; rivals: string }) =>
        taken(api.POST('/api/quick', { body })),
      onSettled,
    }),
    remove: useMutation({
      mutationFn: (client: number) =>
        taken(api.DELETE('/api/clients/{client}', { params: { path: { client } } })),
      onSettled,
    }),
  }
}
