import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { useFollow } from './changes'
import { api, asForm, taken, type Book, type FamilyChoice, type Id, type Layout, type Lists } from './client'
import { keys } from './keys'

/** A file as the description of the API has it. */
const binary = (file: File) => file as unknown as string

/** Changes of a phrase book; those that answer with the book show it at once. */
export function useBookChanges(client: Id) {
  const cache = useQueryClient()
  const params = () => ({ params: { path: { client: client() } } })
  const onSettled = useFollow(client)
  const onSuccess = (book: Book) => cache.setQueryData(keys.book(client()), book)
  return {
    choose: useMutation({
      mutationFn: (body: { keys: string[] } & FamilyChoice) =>
        taken(api.PUT('/api/clients/{client}/book/families', { ...params(), body })),
      onSuccess,
    }),
    /** Puts phrases in the family of another one; their own lets them stand alone. */
    place: useMutation({
      mutationFn: (body: { phrases: string[]; with: string }) =>
        taken(api.PUT('/api/clients/{client}/book/members', { ...params(), body })),
      onSuccess,
    }),
    saveLists: useMutation({
      mutationFn: (lists: Lists | null) =>
        taken(api.PUT('/api/clients/{client}/book/lists', { ...params(), body: lists ? { lists } : {} })),
      onSettled,
    }),
    judge: useMutation({
      mutationFn: (body: { word: string; verdict: Verdict; tied_to: string }) =>
        taken(api.PUT('/api/clients/{client}/book/words', { ...params(), body })),
      onSuccess,
    }),
    add: useMutation({
      mutationFn: (phrases: string[]) =>
        taken(api.POST('/api/clients/{client}/book/phrases', { ...params(), body: { phrases } })),
      onSettled,
    }),
    ask: useMutation({
      mutationFn: () => taken(api.POST('/api/clients/{client}/book/demand', params())),
      onSettled,
    }),
    preview: useMutation({
      mutationFn: (file: File) =>
        taken(
          api.POST('/api/clients/{client}/book/preview', {
            ...params(),
            body: { file: binary(file) },
            bodySerializer: asForm,
          }),
        ),
    }),
    importList: useMutation({
      mutationFn: ({ file, layout, site }: { file: File; layout: Layout; site: string }) =>
        taken(
          api.POST('/api/clients/{client}/book/import', {
            ...params(),
            body: { file: binary(file), layout: JSON.stringify(layout), site },
            bodySerializer: asForm,
          }),
        ),
      onSettled,
    }),
    undoImport: useMutation({
      mutationFn: (id: number) =>
        taken(
          api.DELETE('/api/clients/{client}/book/imports/{import}', {
            params: { path: { client: client(), import: id } },
          }),
        ),
      onSettled,
    }),
  }
}

/** What the user says of a word, empty for nothing. */
export type Verdict = '' | 'brand' | 'service' | 'elsewhere' | 'ordinary'
