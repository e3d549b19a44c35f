import { useMutation, useQuery } from '@tanstack/vue-query'
import { api, taken, type Handed, type HandedAs } from './client'
import { keys } from './keys'

/** The bookmark that hands the page of a tab over to this program. */
export function useBookmark() {
  return useQuery({
    queryKey: keys.bookmark,
    queryFn: async () =>
      (await taken(api.GET('/api/bookmark'))).address.replaceAll('__ORIGIN__', location.origin),
    staleTime: Infinity,
  })
}

/** A page that was handed over: what it may be, and keeping it. */
export function useReceived() {
  return {
    look: useMutation({ mutationFn: (body: Handed) => taken(api.POST('/api/received', { body })) }),
    keep: useMutation({
      mutationFn: ({ client, ...body }: Handed & { client: number; as: HandedAs; page_id: number }) =>
        taken(api.POST('/api/clients/{client}/received', { params: { path: { client } }, body })),
    }),
  }
}
