import { useMutation } from '@tanstack/vue-query'
import { type Change } from './changes'
import { api, taken, type Id, type PageDraft } from './client'

/** Changes of a client's list of pages. */
export function usePages(client: Id) {
  const pathOf = (page: number) => ({ params: { path: { client: client(), page } } })
  return {
    add: useMutation({
      mutationFn: (body: PageDraft) =>
        taken(api.POST('/api/clients/{client}/pages', { params: { path: { client: client() } }, body })),
    }),
    change: useMutation({
      mutationFn: ({ page, to, was }: { page: number } & Change<PageDraft>) =>
        taken(api.PUT('/api/clients/{client}/pages/{page}', { ...pathOf(page), body: { ...to, was } })),
    }),
    setFirst: useMutation({
      mutationFn: ({ page, family }: { page: number; family: string }) =>
        taken(api.PUT('/api/clients/{client}/pages/{page}/first', { ...pathOf(page), body: { family } })),
    }),
    restore: useMutation({
      mutationFn: (page: number) =>
        taken(api.POST('/api/clients/{client}/pages/{page}/restore', pathOf(page))),
    }),
    remove: useMutation({
      mutationFn: (page: number) => taken(api.DELETE('/api/clients/{client}/pages/{page}', pathOf(page))),
    }),
  }
}
