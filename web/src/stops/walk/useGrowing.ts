import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, ref } from 'vue'

/** How long strokes take to be drawn, in milliseconds. */
const drawn = 900

/** The share of something that grows from nothing to the whole when it comes, at once where less motion is asked for. */
export function useGrowing() {
  const still = usePreferredReducedMotion().value === 'reduce'
  const share = ref(still ? 1 : 0)
  let from = 0
  const { pause } = useRafFn(
    ({ timestamp }) => {
      from ||= timestamp
      share.value = Math.min(1, (timestamp - from) / drawn)
      if (share.value === 1) pause()
    },
    { immediate: !still },
  )
  return computed(() => share.value)
}
