import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import {
  api,
  taken,
  type Book,
  type FamilyChoice,
  type Layout,
  type Lists,
  type Preview,
  type Report,
} from './client'

/** A client's phrase book in families. */
export function useBook(client: () => number) {
  return useQuery({
    queryKey: ['client', client, 'book'],
    // Thousands of families are replaced as a whole; watching each is slow.
    shallow: true,
    queryFn: () => taken(api.GET('/api/clients/{client}/book', { params: { path: { client: client() } } })),
  })
}

/** Phrases of services, places and patterns that the book has not yet. */
export function useCandidates(client: () => number) {
  return useQuery({
    queryKey: ['client', client, 'candidates'],
    queryFn: () =>
      taken(api.GET('/api/clients/{client}/book/candidates', { params: { path: { client: client() } } })),
  })
}

/** The lists of words by which intents are told. */
export function useLists(client: () => number) {
  return useQuery({
    queryKey: ['client', client, 'lists'],
    queryFn: () =>
      taken(api.GET('/api/clients/{client}/book/lists', { params: { path: { client: client() } } })),
  })
}

/** Changes of a phrase book; those that answer with the book show it at once. */
export function useBookChanges(client: () => number) {
  const cache = useQueryClient()
  const params = () => ({ params: { path: { client: client() } } })
  const show = (book: Book) => cache.setQueryData(['client', client(), 'book'], book)
  const follow = () =>
    Promise.all([
      cache.invalidateQueries({ queryKey: ['client', client(), 'book'] }),
      cache.invalidateQueries({ queryKey: ['client', client(), 'candidates'] }),
      cache.invalidateQueries({ queryKey: ['client', client(), 'found'] }),
    ])
  return {
    choose: useMutation({
      mutationFn: (body: { keys: string[] } & FamilyChoice) =>
        taken(api.PUT('/api/clients/{client}/book/families', { ...params(), body })),
      onSuccess: show,
    }),
    /** Puts phrases in the family of another one; their own lets them stand alone. */
    place: useMutation({
      mutationFn: (body: { phrases: string[]; with: string }) =>
        taken(api.PUT('/api/clients/{client}/book/members', { ...params(), body })),
      onSuccess: show,
    }),
    saveLists: useMutation({
      mutationFn: (lists: Lists | null) =>
        taken(api.PUT('/api/clients/{client}/book/lists', { ...params(), body: lists ? { lists } : {} })),
      onSettled: () => cache.invalidateQueries({ queryKey: ['client', client()] }),
    }),
    judge: useMutation({
      mutationFn: (body: { word: string; verdict: Verdict; tied_to: string }) =>
        taken(api.PUT('/api/clients/{client}/book/words', { ...params(), body })),
      onSuccess: show,
    }),
    add: useMutation({
      mutationFn: (phrases: string[]) =>
        taken(api.POST('/api/clients/{client}/book/phrases', { ...params(), body: { phrases } })),
      onSettled: follow,
    }),
    ask: useMutation({
      mutationFn: () => taken(api.POST('/api/clients/{client}/book/demand', params())),
      onSettled: follow,
    }),
    preview: useMutation({
      mutationFn: (file: File) => taken<Preview>(send(client(), 'preview', file)),
    }),
    bring: useMutation({
      mutationFn: ({ file, layout, site }: { file: File; layout: Layout; site: string }) =>
        taken<Report>(send(client(), 'import', file, layout, site)),
      onSettled: follow,
    }),
    undoImport: useMutation({
      mutationFn: (id: number) =>
        taken(
          api.DELETE('/api/clients/{client}/book/imports/{import}', {
            params: { path: { client: client(), import: id } },
          }),
        ),
      onSettled: follow,
    }),
  }
}

export type Verdict = '' | 'brand' | 'service' | 'elsewhere' | 'ordinary'

async function send<T>(client: number, what: string, file: File, layout?: Layout, site = '') {
  const body = new FormData()
  body.append('file', file)
  if (layout) body.append('layout', JSON.stringify(layout))
  body.append('site', site)
  const response = await fetch(`/api/clients/${client}/book/${what}`, { method: 'POST', body })
  const answer: unknown = await response.json().catch(() => null)
  return response.ok ? { data: answer as T, response } : { error: answer, response }
}
