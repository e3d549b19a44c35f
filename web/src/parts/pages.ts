import type { PageInfo } from '@/api/types'
import { pathOf } from './format'

const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)

/** What a page is called: by what it is for, else by its kind. */
export function pageName(p: Pick<PageInfo, 'kind' | 'service' | 'place'> & { url?: string }): string {
  if (p.kind === 'home') return 'Home'
  const subject = [p.service, p.place].filter(Boolean).join(', ')
  return capital(subject || lastPart(p.url ?? '') || p.kind)
}

/** The last part of an address's path as words: what tells apart pages that are for nothing of their own. */
function lastPart(url: string): string {
  const [, path = ''] = /^https?:\/\/[^/]+\/([^?#]*)/.exec(url) ?? []
  const last = path.split('/').filter(Boolean).pop() ?? ''
  return last
    .replace(/\.\w{1,5}$/, '')
    .replace(/[-_+]+|%20/g, ' ')
    .trim()
}

/** What pages are called beside one another, by their keys: those that would say the same say their paths too. */
export function namesApart(
  pages: { key: string; page: Parameters<typeof pageName>[0] }[],
): Map<string, string> {
  const named = pages.map((p) => ({ ...p, name: pageName(p.page) }))
  const times = new Map<string, number>()
  for (const { name } of named) times.set(name, (times.get(name) ?? 0) + 1)
  return new Map(
    named.map(({ key, page, name }) => [
      key,
      times.get(name)! > 1 ? `${name} (${page.url ? pathOf(page.url) : 'new'})` : name,
    ]),
  )
}
