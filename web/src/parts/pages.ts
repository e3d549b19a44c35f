import type { PageInfo } from '@/api/client'

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
