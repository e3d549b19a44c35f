import { ref } from 'vue'

/** The stops that read what a tab hands over. */
type Stop = 'book' | 'lineup' | 'standing'

/** A list or a page of results on its way from a tab to the stop that reads it. */
const waiting = ref<{ for: Stop; file: File }>()

export const handOver = (to: Stop, file: File) => (waiting.value = { for: to, file })

/** The file that waits for a stop, once. */
export function takeHanded(stop: Stop): File | undefined {
  if (waiting.value?.for !== stop) return undefined
  const { file } = waiting.value
  waiting.value = undefined
  return file
}
