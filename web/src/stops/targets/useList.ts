import type { Plan, Target } from '@/api/types'
import { computed, ref, watch } from 'vue'
import { cutInTwo, foldsIn, grouped, shown, sumsOver, unfolded, type Order } from './list'

/** What of a plan stands in the list: of all pages or one, of all or one imperative, small lines folded. */
export function useList(
  plan: () => Plan | undefined,
  page: () => string,
  order: () => Order,
  dropped: () => boolean,
) {
  /** Which imperative's lines are shown, -1 for all; the pages whose small lines are. */
  const picked = ref(-1)
  const opened = ref(new Set<string>())
  watch(page, () => (picked.value = -1))

  const list = computed(() => {
    const now = plan()
    if (!now) return []
    const all = shown(now, page(), dropped())
    const only = page() ? undefined : now.recap[picked.value]
    if (!only) return all
    const ids = new Set(only.targets)
    return all.filter((t) => ids.has(t.id))
  })
  const first = computed(() => plan()?.targets.filter((t) => t.first && t.choice.state !== 'dropped') ?? [])

  /** Small lines stand folded in the order of work over all pages. */
  const folds = computed(() => order() === 'work' && !page() && picked.value < 0)
  const half = (targets: Target[]) => ({
    targets: folds.value ? unfolded(plan()!, targets, opened.value) : targets,
    folded: folds.value ? foldsIn(plan()!, targets) : [],
  })
  const groups = computed(() =>
    grouped(plan()!, list.value, order()).map((g) => {
      const { above, below } = cutInTwo(g.targets)
      const words = order() === 'front' && g.key === 'words'
      const sums = words ? sumsOver(plan()!, [...above, ...below]) : new Map<string, string>()
      return { ...g, above: half(above), below: half(below), sums }
    }),
  )

  function toggleFold(of: string) {
    const next = new Set(opened.value)
    if (!next.delete(of)) next.add(of)
    opened.value = next
  }

  return { picked, list, first, groups, opened, toggleFold }
}
