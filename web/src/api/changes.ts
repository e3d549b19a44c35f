import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { api, taken, type Business, type Id, type ReadMode } from './client'
import { keys } from './keys'

/**
 * A change of something that two can change at once: what it is to be, and what it was when the
 * change began. Where it is something else by now the change is refused, or laid over it.
 */
export interface Change<T> {
  to: T
  was: T
}

/** Changes of a client; all that is made from what they change follows (follow.ts). */
export function useChanges(client: Id) {
  const path = () => ({ params: { path: { client: client() } } })
  const ofRun = (run: number) => ({ params: { path: { client: client(), run } } })
  const change = <T, R>(mutationFn: (value: T) => Promise<R>) => useMutation({ mutationFn })

  return {
    /** Saves a business; `was` is what the change was made from. */
    saveGround: change(({ to, was }: Change<Business>) =>
      taken(api.PUT('/api/clients/{client}', { ...path(), body: { ...to, was } })),
    ),
    search: change((phrase: string) =>
      taken(api.POST('/api/clients/{client}/lineup/search', { ...path(), body: { phrase } })),
    ),
    pasteRivals: change((addresses: string) =>
      taken(api.POST('/api/clients/{client}/lineup/rivals', { ...path(), body: { addresses } })),
    ),
    take: change(({ entry, taken: isTaken }: { entry: number; taken: boolean }) =>
      taken(
        api.PUT('/api/clients/{client}/lineup/{entry}', {
          params: { path: { client: client(), entry } },
          body: { taken: isTaken },
        }),
      ),
    ),
    measure: change(() => taken(api.POST('/api/clients/{client}/run', path()))),
    readPage: change((body: { url: string; mode: ReadMode }) =>
      taken(api.POST('/api/clients/{client}/read', { ...path(), body })),
    ),
    resume: change((run: number) => taken(api.POST('/api/clients/{client}/run/{run}/resume', ofRun(run)))),
    ignoreRobots: change(({ run, url }: { run: number; url: string }) =>
      taken(api.POST('/api/clients/{client}/run/{run}/ignore-robots', { ...ofRun(run), body: { url } })),
    ),
    stop: change((run: number) => taken(api.POST('/api/clients/{client}/run/{run}/stop', ofRun(run)))),
    setHours: change(({ to, was }: Change<number>) =>
      taken(api.PUT('/api/clients/{client}/hours', { ...path(), body: { hours: to, was } })),
    ),
    removeReadings: change((readings: number[]) =>
      Promise.all(
        readings.map((reading) =>
          taken(
            api.DELETE('/api/clients/{client}/readings/{reading}', {
              params: { path: { client: client(), reading } },
            }),
          ),
        ),
      ),
    ),
    paste: change(({ page, ...body }: { page: number; entry: number; html: string }) =>
      taken(
        api.POST('/api/clients/{client}/pages/{page}/paste', {
          params: { path: { client: client(), page } },
          body,
        }),
      ),
    ),
  }
}

/** Makes and deletes clients. */
export function useClients() {
  const cache = useQueryClient()
  const onSettled = () =>
    Promise.all([keys.shelf, keys.names].map((queryKey) => cache.invalidateQueries({ queryKey })))
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
