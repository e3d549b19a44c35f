import type { PageInfo } from '@/api/client'

const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)

/** What a page is called: by what it is for, else by its kind. */
export function pageName(p: Pick<PageInfo, 'kind' | 'service' | 'place'>): string {
  if (p.kind === 'home') return 'Home'
  return capital([p.service, p.place].filter(Boolean).join(', ') || p.kind)
}
