import { useQuery } from '@tanstack/vue-query'
import { api, taken } from './client'

/** What the client's site and its rivals' are found for, side by side. */
export function useFound(client: () => number) {
  return useQuery({
    queryKey: ['client', client, 'found'],
    shallow: true,
    queryFn: () => taken(api.GET('/api/clients/{client}/found', { params: { path: { client: client() } } })),
  })
}
