import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import {
  changeClientYardstickMutation,
  changeYardstickMutation,
  clientYardstickOptions,
  previewYardstickMutation,
  readYardstickMutation,
  yardstickOptions,
} from '@/api/calls'
import type { FigureChanges, Id } from '@/api/types'

/** The figures of a client, those of the workspace for 0. */
export function useFigures(client: Id) {
  const of = useQuery(() => ({
    ...clientYardstickOptions({ path: { client: client() } }),
    enabled: client() > 0,
  }))
  const ofAll = useQuery(() => ({ ...yardstickOptions(), enabled: client() === 0 }))
  return {
    figures: computed(() => (client() ? of : ofAll).data.value),
    error: computed(() => (client() ? of : ofAll).error.value),
  }
}

/** Changes figures of a client or, if `all` says so, of the workspace; and tells what would follow. */
export function useFigureChanges(client: Id, all: () => boolean) {
  const preview = useMutation(previewYardstickMutation())
  const ofAll = useMutation(changeYardstickMutation())
  const ofClient = useMutation(changeClientYardstickMutation())
  const read = useMutation(readYardstickMutation())
  const path = () => ({ client: client() })
  return {
    preview: (changes: FigureChanges) =>
      preview.mutateAsync({ path: path(), body: { changes, workspace: all() } }),
    change: (to: FigureChanges, was: FigureChanges) => {
      const body = { changes: to, was }
      return all() ? ofAll.mutateAsync({ body }) : ofClient.mutateAsync({ path: path(), body })
    },
    read: (yaml: string) => read.mutateAsync({ query: { client: all() ? 0 : client() }, body: { yaml } }),
    /** Why the last change was refused; why nothing could be looked at or read. */
    refused: () => ofAll.error.value ?? ofClient.error.value,
    failed: () => read.error.value ?? preview.error.value,
  }
}
