import { skipToken, useQuery, useQueryClient } from '@tanstack/vue-query'
import { useDocumentVisibility, useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, watch } from 'vue'
import { lastRunQueryKey } from './calls'
import { follow } from './follow'
import type { Id, Run } from './types'

/** What a run changes of a client: what it reads, the surveys of sites, and the pages that these find. */
const ofRuns = ['readings', 'surveyed', 'ground']

const keyOf = (client: number) => lastRunQueryKey({ path: { client } })

/**
 * The newest run, null if there was none. It comes by events alone (useProgress): an answer that was
 * asked for could be older than an event that came meanwhile, and put it back.
 */
export function useRun(client: Id) {
  return useQuery<Run | null>(() => ({ queryKey: keyOf(client()), queryFn: skipToken }))
}

/** Whether pages of a client are being read: until that is over no other reading can be started. */
export function useBusy(client: Id) {
  const { data: run } = useRun(client)
  return computed(() => run.value?.state === 'running')
}

/** Follows the runs of a client and lets the screens follow them. */
export function useProgress(client: Id) {
  const cache = useQueryClient()
  let source: EventSource | undefined
  let seen = ''

  function listen() {
    leave()
    if (document.hidden) return
    const id = client()
    source = new EventSource(`/api/clients/${id}/progress`)
    source.addEventListener('progress', (event) => {
      const { run } = JSON.parse((event as MessageEvent<string>).data) as { run: Run | null }
      cache.setQueryData(keyOf(id), run)
      if (!run) return
      const now = `${id} ${run.id} ${run.done} ${run.failed} ${run.state}`
      if (seen.startsWith(`${id} `) && now !== seen) refresh(id)
      seen = now
    })
  }
  const leave = () => source?.close()

  function refresh(id: number) {
    void follow(cache, id, ofRuns)
  }

  /* A browser keeps only six connections to a program: tabs that nobody looks at must hold none. */
  watch([client, useDocumentVisibility()], listen, { immediate: true })
  useEventListener(window, 'pagehide', leave)
  useEventListener(window, 'pageshow', listen)
  onScopeDispose(leave)
}
