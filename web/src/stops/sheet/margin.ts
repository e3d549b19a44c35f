import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** What the evidence margin shows. It stands in the address, so that it can be linked and gone back to. */
export type What =
  'seen' | 'copy' | 'hidden' | 'phrase' | 'headings' | 'images' | 'page' | 'made' | 'rule' | 'beside'

export function useMargin() {
  const route = useRoute()
  const router = useRouter()
  const text = (key: string) => {
    const value = route.query[key]
    return typeof value === 'string' ? value : ''
  }
  const what = computed(() => text('show') as What | '')
  const column = computed(() => Number(text('column') || 0))
  const phrase = computed(() => text('phrase'))

  /* Back closes it: opening it is a step of its own, looking at something else in it is none. */
  function open(show: What, at: number, marked = '') {
    const query = { show, column: String(at), phrase: marked || undefined }
    void (what.value ? router.replace({ query }) : router.push({ query }))
  }
  const close = () => void router.replace({ query: {} })
  const mark = (marked: string) => open(what.value || 'phrase', column.value, marked)
  const shows = (show: What, at: number, marked = '') =>
    what.value === show && column.value === at && (show !== 'phrase' || phrase.value === marked)

  return { what, column, phrase, open, close, mark, shows }
}

export type Margin = ReturnType<typeof useMargin>
