import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/**
 * What of a view stands in its address: it can be linked, and it is there again when somebody comes back. What opens
 * something is a step that Back takes back; other changes take the place of what was.
 */
export function useAddress() {
  const route = useRoute()
  const router = useRouter()
  const text = (name: string) => {
    const value = route.query[name]
    return typeof value === 'string' ? value : ''
  }
  function set(to: Record<string, string>, step = false) {
    const query = { ...route.query }
    for (const [name, value] of Object.entries(to))
      if (value) query[name] = value
      else delete query[name]
    return step ? router.push({ query }) : router.replace({ query })
  }
  /** A text that is empty, or left out of the address, for what a view shows by itself. */
  const field = <T extends string>(name: string, usual: T) =>
    computed<T>({
      get: () => (text(name) || usual) as T,
      set: (value) => void set({ [name]: value === usual ? '' : value }),
    })
  return { text, set, field }
}
