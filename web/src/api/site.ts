import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, taken, type Id, type Run } from './client'
import { keys } from './keys'

/** What a survey found of the client's site and of its rivals'. */
export function useSite(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.site(client())),
    queryFn: () => taken(api.GET('/api/clients/{client}/site', { params: { path: { client: client() } } })),
  })
}

/** All pages at a glance, those to make too. */
export function useOverview(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.overview(client())),
    queryFn: () =>
      taken(api.GET('/api/clients/{client}/overview', { params: { path: { client: client() } } })),
  })
}

/** The pages of rivals that stand beside one of the client's, and the others of their sites. */
export function useBeside(client: Id, page: Id) {
  return useQuery({
    queryKey: computed(() => keys.beside(client(), page())),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/pages/{page}/beside', {
          params: { path: { client: client(), page: page() } },
        }),
      ),
  })
}

/** Surveys sites, and says which page of a rival is the comparable one. */
export function useSites(client: Id) {
  const cache = useQueryClient()
  return {
    survey: useMutation({
      mutationFn: () =>
        taken(api.POST('/api/clients/{client}/survey', { params: { path: { client: client() } } })),
      onSuccess: (run: Run) => cache.setQueryData(keys.run(client()), run),
    }),
    chooseBeside: useMutation({
      mutationFn: ({ page, ...body }: { page: number; entry_id: number; url: string | null }) =>
        taken(
          api.PUT('/api/clients/{client}/pages/{page}/beside', {
            params: { path: { client: client(), page } },
            body,
          }),
        ),
    }),
  }
}
