import { useQueryClient } from '@tanstack/vue-query'
import { type MaybeRefOrGetter, onScopeDispose, toValue, watch } from 'vue'
import type { Run } from './client'

/** Follows the runs of a client and lets the screens follow them. */
export function useProgress(client: MaybeRefOrGetter<number>) {
  const cache = useQueryClient()
  let source: EventSource | undefined
  let seen = ''

  function listen(id: number) {
    source?.close()
    if (document.hidden) return
    source = new EventSource(`/api/clients/${id}/progress`)
    source.addEventListener('progress', (event) => {
      const { run } = JSON.parse((event as MessageEvent<string>).data) as { run: Run | null }
      cache.setQueryData(['client', id, 'run'], run)
      if (!run) return
      const now = `${id} ${run.id} ${run.done} ${run.failed} ${run.state}`
      if (seen.startsWith(`${id} `) && now !== seen) refresh(id)
      seen = now
    })
  }

  function refresh(id: number) {
    void cache.invalidateQueries({
      queryKey: ['client', id],
      predicate: (query) => query.queryKey[2] !== 'run',
    })
    void cache.invalidateQueries({ queryKey: ['shelf'] })
  }

  /* A browser keeps only six connections to a program: tabs that nobody looks at must hold none. */
  function onVisibility() {
    if (document.hidden) source?.close()
    else listen(toValue(client))
  }
  const leave = () => source?.close()

  watch(() => toValue(client), listen, { immediate: true })
  document.addEventListener('visibilitychange', onVisibility)
  window.addEventListener('pagehide', leave)
  window.addEventListener('pageshow', onVisibility)
  onScopeDispose(() => {
    leave()
    document.removeEventListener('visibilitychange', onVisibility)
    window.removeEventListener('pagehide', leave)
    window.removeEventListener('pageshow', onVisibility)
  })
}
