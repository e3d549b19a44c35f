import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, taken, type Entry, type EntryDraft, type FigureDraft, type Id } from './client'
import { keys } from './keys'

/** Changes of recorded searches and of their entries. */
export function useEntries(client: Id) {
  const cache = useQueryClient()
  const onSettled = () => cache.invalidateQueries({ queryKey: keys.siteKinds })
  const of = (entry: number) => ({ params: { path: { client: client(), entry } } })
  return {
    add: useMutation({
      mutationFn: (body: EntryDraft & { lineup: number; phrase?: string }) =>
        taken(
          api.POST('/api/clients/{client}/lineup/entries', { params: { path: { client: client() } }, body }),
        ),
    }),
    move: useMutation({
      mutationFn: ({ entry, position }: { entry: number; position: number }) =>
        taken(api.PUT('/api/clients/{client}/lineup/{entry}/position', { ...of(entry), body: { position } })),
    }),
    setKind: useMutation({
      mutationFn: ({ entry, kind }: { entry: number; kind: Entry['kind'] }) =>
        taken(api.PUT('/api/clients/{client}/lineup/{entry}/kind', { ...of(entry), body: { kind } })),
      onSettled,
    }),
    remove: useMutation({
      mutationFn: (entry: number) => taken(api.DELETE('/api/clients/{client}/lineup/{entry}', of(entry))),
    }),
    forget: useMutation({
      mutationFn: (lineup: number) =>
        taken(
          api.DELETE('/api/clients/{client}/lineups/{lineup}', {
            params: { path: { client: client(), lineup } },
          }),
        ),
    }),
    use: useMutation({
      mutationFn: (lineup: number) =>
        taken(
          api.PUT('/api/clients/{client}/lineups/{lineup}/use', {
            params: { path: { client: client(), lineup } },
          }),
        ),
    }),
    importKinds: useMutation({
      mutationFn: (list: string) => taken(api.PUT('/api/site-kinds', { body: { list } })),
      onSettled,
    }),
    forgetKind: useMutation({
      mutationFn: (domain: string) =>
        taken(
          api.DELETE('/api/clients/{client}/site-kinds/{domain}', {
            params: { path: { client: client(), domain } },
          }),
        ),
      onSettled,
    }),
  }
}

/** What was said of sites, for all clients. */
export function useSiteKinds() {
  return useQuery({ queryKey: keys.siteKinds, queryFn: () => taken(api.GET('/api/site-kinds')) })
}

/** Figures of sites that come from elsewhere. */
export function useFigures(client: Id) {
  const path = () => ({ params: { path: { client: client() } } })
  return {
    figures: useQuery({
      queryKey: computed(() => keys.figures(client())),
      queryFn: () => taken(api.GET('/api/clients/{client}/figures', path())),
    }),
    set: useMutation({
      mutationFn: ({ domain, ...body }: FigureDraft & { domain: string; was: { value: number | null } }) =>
        taken(
          api.PUT('/api/clients/{client}/figures/{domain}', {
            params: { path: { client: client(), domain } },
            body,
          }),
        ),
    }),
    paste: useMutation({
      mutationFn: (body: { table: string; source: string; taken_on: string }) =>
        taken(api.POST('/api/clients/{client}/figures', { ...path(), body })),
    }),
  }
}
