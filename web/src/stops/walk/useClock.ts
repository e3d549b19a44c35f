import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'

/** A clock that runs from the first step on: 2:10. */
export function useClock() {
  const from = ref(0)
  const now = ref(0)
  useIntervalFn(() => (now.value = Date.now()), 500)
  const seconds = computed(() => (from.value ? Math.max(0, Math.floor((now.value - from.value) / 1000)) : 0))
  return {
    says: computed(() => `${Math.floor(seconds.value / 60)}:${String(seconds.value % 60).padStart(2, '0')}`),
    /** Starts it, if it does not run. */
    run() {
      from.value ||= now.value = Date.now()
    },
    reset() {
      from.value = now.value = Date.now()
    },
  }
}
