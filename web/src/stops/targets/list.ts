import type { Part, Plan, Target } from '@/api/types'
import { count, plural } from '@/parts/format'
import { pageName } from '@/parts/pages'

/** In which order the targets stand. */
export type Order = 'work' | 'front' | 'page'

/** A part of the list under a heading; those of the order of work have none. */
export interface Group {
  key: string
  title: string
  targets: Target[]
}

const fronts: Record<Target['front'], string> = {
  words: 'Words',
  phrases: 'Phrases and headings',
  images: 'Images',
  pages: 'Pages',
}

/** What of a plan is shown: all pages or one, with what was dropped or without. */
export function shown(plan: Plan, page: string, dropped: boolean): Target[] {
  return plan.targets.filter((t) => (!page || t.page === page) && (dropped || t.choice.state !== 'dropped'))
}

/** The folds of a plan whose small lines stand in a list, each where its first one does. */
export function foldsIn(plan: Plan, list: Target[]): Plan['folded'] {
  const there = new Set(list.map((t) => t.id))
  return plan.folded.filter((f) => there.has(f.targets[0] ?? ''))
}

/** The lines of a list that do not stand folded. */
export function unfolded(plan: Plan, list: Target[], open: Set<string>): Target[] {
  const hidden = new Set(plan.folded.filter((f) => !open.has(f.page)).flatMap((f) => f.targets))
  return list.filter((t) => !hidden.has(t.id))
}

/** The targets in groups: by front the largest gain first, by page as the pages stand. */
export function grouped(plan: Plan, list: Target[], order: Order): Group[] {
  if (order === 'work') return [{ key: 'work', title: '', targets: list }]
  if (order === 'page') return byPage(plan, list)
  const told = new Map(plan.telling.map((id, i) => [id, i]))
  const place = (t: Target) => told.get(t.id) ?? told.size
  const sorted = [...list].sort((a, b) => place(a) - place(b))
  const groups: Group[] = []
  for (const t of sorted) {
    const group = groups.find((g) => g.key === t.front)
    if (group) group.targets.push(t)
    else groups.push({ key: t.front, title: fronts[t.front], targets: [t] })
  }
  for (const g of groups) if (g.key === 'words') g.targets = together(g.targets)
  return groups
}

/** The lines of each page one after another, the page of the first line first. */
function together(list: Target[]): Target[] {
  const pages = [...new Set(list.map((t) => t.page))]
  return pages.flatMap((page) => list.filter((t) => t.page === page))
}

/** What is to be written on a page, over its sections: once, what it has now and what it will have. */
function wordsOf(plan: Plan, page: string): string {
  const info = plan.pages.find((p) => p.key === page)?.page
  if (!info?.to_write) return ''
  const sum = `${pageName(info)}: write ${plural(info.to_write, 'word')}`
  return info.words ? `${sum}, ${count(info.words)} → ${count(info.words + info.to_write)}` : sum
}

/** The sums of pages' words, by the ids of the first lines of each page. */
export function sumsOver(plan: Plan, list: Target[]): Map<string, string> {
  const seen = new Set<string>()
  const sums = new Map<string, string>()
  for (const t of list) {
    if (!seen.has(t.page)) sums.set(t.id, wordsOf(plan, t.page))
    seen.add(t.page)
  }
  return sums
}

/** What was added by hand for a page that is gone stands behind those of the pages that there are. */
function byPage(plan: Plan, list: Target[]): Group[] {
  const there = new Set(plan.pages.map((p) => p.key))
  const groups = plan.pages.map((p) => ({
    key: p.key,
    title: pageName(p.page),
    targets: list.filter((t) => t.page === p.key),
  }))
  groups.push({ key: '', title: 'Removed pages', targets: list.filter((t) => !there.has(t.page)) })
  return groups.filter((g) => g.targets.length)
}

/** Above the line what fits, in order; below it what does not, and what was dropped. */
export function cutInTwo(list: Target[]): { above: Target[]; below: Target[] } {
  return { above: list.filter((t) => t.fits), below: list.filter((t) => !t.fits) }
}

/** A line of the list that keys can stand on: a target, or a part of an open one. */
export interface Line {
  target: Target
  part?: Part
}

/** The lines of groups, with the parts of targets that are open. */
export function lines(targets: Target[], open: Set<string>): Line[] {
  return targets.flatMap((target): Line[] => [
    { target },
    ...(open.has(target.id) ? target.parts.map((part) => ({ target, part })) : []),
  ])
}

/** What is said of a line in a sentence: the instruction. */
export function says(line: Line): string {
  const of = line.part ?? line.target
  return [of.before, of.pencil, of.after].filter(Boolean).join(' ')
}
