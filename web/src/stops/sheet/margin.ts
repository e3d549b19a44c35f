import { computed } from 'vue'
import { useAddress } from '@/parts/address'

/** What the evidence margin shows. It stands in the address, so that it can be linked and gone back to. */
export type What =
  'seen' | 'copy' | 'hidden' | 'phrase' | 'headings' | 'images' | 'page' | 'made' | 'rule' | 'beside'

export function useMargin() {
  const address = useAddress()
  const what = computed(() => address.text('show') as What | '')
  const column = computed(() => Number(address.text('column') || 0))
  const phrase = computed(() => address.text('phrase'))

  /* Back closes it: opening it is a step of its own, looking at something else in it is none. */
  function open(show: What, at: number, marked = '') {
    void address.set({ show, column: String(at), phrase: marked }, !what.value)
  }
  const close = () => void address.set({ show: '', column: '', phrase: '' })
  const mark = (marked: string) => open(what.value || 'phrase', column.value, marked)
  const shows = (show: What, at: number, marked = '') =>
    what.value === show && column.value === at && (show !== 'phrase' || phrase.value === marked)

  return { what, column, phrase, open, close, mark, shows }
}

export type Margin = ReturnType<typeof useMargin>
