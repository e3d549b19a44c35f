import { ref } from 'vue'

/** A list or a page of results on its way from a tab to the stop that reads it. */
const waiting = ref<{ for: 'book' | 'lineup'; file: File }>()

export const handOver = (to: 'book' | 'lineup', file: File) => (waiting.value = { for: to, file })

/** The file that waits for a stop, once. */
export function takeHanded(stop: 'book' | 'lineup'): File | undefined {
  if (waiting.value?.for !== stop) return undefined
  const { file } = waiting.value
  waiting.value = undefined
  return file
}
