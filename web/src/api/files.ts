import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { taken, type Filed } from './client'

/** A file that a user brings, with the folders that it was in. */
export interface Brought {
  file: File
  path: string
}

/** Takes saved pages and web archives as readings of a client's pages. */
export function useFiles(client: () => number) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ page, entry = 0, files }: { page: number; entry?: number; files: Brought[] }) => {
      const form = new FormData()
      form.append('entry', String(entry))
      for (const { file, path } of files) {
        form.append('files', file)
        form.append('paths', path)
      }
      return taken<Filed[]>(send(`/api/clients/${client()}/pages/${page}/files`, form))
    },
    onSettled: () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: ['client', client()] }),
        cache.invalidateQueries({ queryKey: ['shelf'] }),
      ]),
  })
}

async function send(address: string, body: FormData) {
  const response = await fetch(address, { method: 'POST', body })
  const answer: unknown = await response.json().catch(() => null)
  return response.ok ? { data: answer as Filed[], response } : { error: answer, response }
}

/** The files of a drop, those of dropped folders too. */
export async function dropped(transfer: DataTransfer): Promise<Brought[]> {
  const entries = [...transfer.items].map((i) => i.webkitGetAsEntry()).filter((e) => e !== null)
  if (!entries.length) return [...transfer.files].map((file) => ({ file, path: file.name }))
  return (await Promise.all(entries.map(below))).flat()
}

async function below(entry: FileSystemEntry): Promise<Brought[]> {
  if (entry.isFile) {
    const file = await new Promise<File>((done, fail) => (entry as FileSystemFileEntry).file(done, fail))
    return [{ file, path: entry.fullPath.replace(/^\//, '') }]
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const inside: Brought[] = []
  // A reader hands out a hundred entries at a time.
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((done, fail) => reader.readEntries(done, fail))
    if (!some.length) return inside
    inside.push(...(await Promise.all(some.map(below))).flat())
  }
}
