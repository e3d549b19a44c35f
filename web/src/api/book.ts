import { useMutation } from '@tanstack/vue-query'
import {
  api,
  asForm,
  binary,
  taken,
  type Book,
  type BookPhrase,
  type FamilyChoice,
  type Id,
  type Layout,
  type Lists,
} from './client'

/** Changes of a phrase book. */
export function useBookChanges(client: Id) {
  const params = () => ({ params: { path: { client: client() } } })
  return {
    choose: useMutation({
      mutationFn: (body: { keys: string[] } & FamilyChoice) =>
        taken(api.PUT('/api/clients/{client}/book/families', { ...params(), body })),
    }),
    /** Puts phrases in the family of another one; their own lets them stand alone. */
    place: useMutation({
      mutationFn: (body: { phrases: string[]; with: string }) =>
        taken(api.PUT('/api/clients/{client}/book/members', { ...params(), body })),
    }),
    saveLists: useMutation({
      mutationFn: ({ to, was }: { to: Lists | null; was: Lists }) =>
        taken(
          api.PUT('/api/clients/{client}/book/lists', {
            ...params(),
            body: { ...(to && { lists: to }), was },
          }),
        ),
    }),
    judge: useMutation({
      mutationFn: (body: { word: string; verdict: Verdict }) =>
        taken(api.PUT('/api/clients/{client}/book/words', { ...params(), body })),
    }),
    /** Says what words are read as: themselves, others, or what the rules say. */
    tie: useMutation({
      mutationFn: (ties: { word: string; means: string }[]) =>
        taken(api.PUT('/api/clients/{client}/book/ties', { ...params(), body: { ties } })),
    }),
    /** Says where the searches of phrases were counted, of all of which it is not known. */
    setArea: useMutation({
      mutationFn: (body: { area: SearchArea; phrases?: number[] }) =>
        taken(api.PUT('/api/clients/{client}/book/area', { ...params(), body })),
    }),
    add: useMutation({
      mutationFn: (phrases: string[]) =>
        taken(api.POST('/api/clients/{client}/book/phrases', { ...params(), body: { phrases } })),
    }),
    ask: useMutation({
      mutationFn: () => taken(api.POST('/api/clients/{client}/book/demand', params())),
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
      mutationFn: ({
        file,
        layout,
        site,
        area,
      }: {
        file: File
        layout: Layout
        site: string
        area: SearchArea
      }) =>
        taken(
          api.POST('/api/clients/{client}/book/import', {
            ...params(),
            body: { file: binary(file), layout: JSON.stringify(layout), site, ...(area && { area }) },
            bodySerializer: asForm,
          }),
        ),
    }),
    undoImport: useMutation({
      mutationFn: (id: number) =>
        taken(
          api.DELETE('/api/clients/{client}/book/imports/{import}', {
            params: { path: { client: client(), import: id } },
          }),
        ),
    }),
  }
}

/** What the user says of a word, empty for nothing. */
export type Verdict = Book['verdicts'][number]['verdict']

/** Where searches were counted, empty if it is not known. */
export type SearchArea = BookPhrase['area']
