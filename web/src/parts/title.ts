import { useTitle } from '@vueuse/core'

/** Names what the tab shows: the client and the view. */
export const useViewTitle = (client: () => string | undefined, view: string) =>
  useTitle(() => [client(), view, 'Ink Tally'].filter(Boolean).join(' – '))
