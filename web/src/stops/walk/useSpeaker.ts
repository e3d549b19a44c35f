import { useBroadcastChannel } from '@vueuse/core'
import { onMounted, watch } from 'vue'
import { useRouter } from 'vue-router'

/** What the walk-through and the window with its talking points tell each other: a step, or that one wants to know. */
interface Told {
  at?: number
  asks?: boolean
  to?: number
}

const channel = (client: number) => useBroadcastChannel<Told, Told>({ name: `walk-through of ${client}` })

/** The walk-through's side: it tells where it is, and goes where the window wants it. */
export function useSpeaker(client: () => number, at: () => number, to: (step: number) => void) {
  const router = useRouter()
  const { data, post } = channel(client())
  watch(at, (n) => post({ at: n }))
  watch(data, (told) => {
    if (told?.asks) post({ at: at() })
    if (told?.to !== undefined) to(told.to)
  })
  return {
    open() {
      const { href } = router.resolve({ name: 'talking-points', params: { client: client() } })
      window.open(href, `points-${client()}`, 'popup,width=720,height=560')
    },
  }
}

/** The window's side: it follows, and can move the walk-through. */
export function useFollower(client: () => number, follow: (at: number) => void) {
  const { data, post } = channel(client())
  watch(data, (told) => {
    if (told?.at !== undefined) follow(told.at)
  })
  onMounted(() => post({ asks: true })) // the channel is there by then
  return { to: (step: number) => post({ to: step }) }
}
