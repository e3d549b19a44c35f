import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, taken, type Id } from './client'
import { keys } from './keys'

/** A draft for a page: text, or the file that it came as. */
export type DraftOf = { page: string; name?: string; text?: string; file?: string }

const asked = (client: Id, { page, ...body }: DraftOf) => ({
  params: { path: { client: client() }, query: { page } },
  body,
})

/** Measures drafts against the targets of a page. */
export function useProof(client: Id) {
  return useMutation({
    mutationFn: (draft: DraftOf) => taken(api.POST('/api/clients/{client}/plan/proof', asked(client, draft))),
  })
}

/** The drafts that were kept as versions of a page, the newest first. */
export function useDrafts(client: Id, page: () => string) {
  return useQuery({
    queryKey: computed(() => keys.drafts(client(), page())),
    enabled: computed(() => page() !== ''),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/plan/drafts', {
          params: { path: { client: client() }, query: { page: page() } },
        }),
      ),
  })
}

/** A kept draft with what was typed. */
export const draftOf = (client: number, draft: number) =>
  taken(api.GET('/api/clients/{client}/plan/drafts/{draft}', { params: { path: { client, draft } } }))

/** Changes of the kept drafts. */
export function useDraftChanges(client: Id) {
  const of = (draft: number) => ({ params: { path: { client: client(), draft } } })
  return {
    keep: useMutation({
      mutationFn: (draft: DraftOf) =>
        taken(api.POST('/api/clients/{client}/plan/drafts', asked(client, draft))),
    }),
    remove: useMutation({
      mutationFn: (draft: number) =>
        taken(api.DELETE('/api/clients/{client}/plan/drafts/{draft}', of(draft))),
    }),
    restore: useMutation({
      mutationFn: (draft: number) =>
        taken(api.POST('/api/clients/{client}/plan/drafts/{draft}/restore', of(draft))),
    }),
  }
}
