import { useMutation } from '@tanstack/vue-query'
import { api, asForm, binary, taken, type Id, type ResultField } from './client'

/** Reading a page of search results: shown first, kept when it is said. */
export function useResults(client: Id) {
  const params = () => ({ params: { path: { client: client() } } })
  return {
    preview: useMutation({
      mutationFn: ({ file, columns, continues }: { file: File; columns: ResultField[]; continues: number }) =>
        taken(
          api.POST('/api/clients/{client}/lineup/results/preview', {
            ...params(),
            body: { file: binary(file), columns: columns.join(','), continues },
            bodySerializer: asForm,
          }),
        ),
    }),
    keep: useMutation({
      mutationFn: ({
        file,
        phrase,
        columns,
        continues,
      }: {
        file: File
        phrase: string
        columns: ResultField[]
        continues: number
      }) =>
        taken(
          api.POST('/api/clients/{client}/lineup/results', {
            ...params(),
            body: { file: binary(file), phrase, columns: columns.join(','), continues },
            bodySerializer: asForm,
          }),
        ),
    }),
  }
}
