import { useMutation } from '@tanstack/vue-query'
import type { DroppedFile } from '@/parts/dropped'
import { api, asForm, binary, taken, type Id } from './client'

/** Adds saved pages and web archives as readings of a client's pages. */
export function useFiles(client: Id) {
  return useMutation({
    mutationFn: ({ page, entry = 0, files }: { page: number; entry?: number; files: DroppedFile[] }) =>
      taken(
        api.POST('/api/clients/{client}/pages/{page}/files', {
          params: { path: { client: client(), page } },
          body: {
            entry,
            files: files.map((f) => binary(f.file)),
            paths: JSON.stringify(files.map((f) => f.path)),
          },
          bodySerializer: asForm,
        }),
      ),
  })
}
