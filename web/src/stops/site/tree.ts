import type { Finding, SitePage, ToMake } from '@/api/types'

/** The kinds in the order in which a site is thought of, and what several pages of one are called. */
export const kinds = ['home', 'service', 'area', 'about', 'contact', 'gallery', 'article', 'other'] as const
export type Kind = (typeof kinds)[number]
export const kindNames: Record<Kind, string> = {
  home: 'Home page',
  service: 'Service pages',
  area: 'Area pages',
  about: 'About',
  contact: 'Contact',
  gallery: 'Gallery',
  article: 'Articles',
  other: 'Other pages',
}

export interface Branch {
  kind: Kind
  pages: SitePage[]
  toMake: ToMake[]
}

/** The pages by kind, those to make behind those that there are; kinds without any are left out. */
export function tree(pages: SitePage[], toMake: ToMake[]): Branch[] {
  const planned = new Set(pages.map(subject))
  return kinds
    .map((kind) => ({
      kind,
      pages: pages.filter((p) => p.kind === kind),
      toMake: toMake.filter((m) => m.kind === kind && !planned.has(subject(m))),
    }))
    .filter((b) => b.pages.length + b.toMake.length > 0)
}

const subject = (p: { kind: string; service: string; place: string }) =>
  [p.kind, p.service, p.place].join('\n')

const bareOf = (url: string) =>
  url
    .replace(/^https?:\/\/(www\.)?/, '')
    .replace(/\/$/, '')
    .toLowerCase()

/** What was found on a page. */
export const foundOn = (findings: Finding[], url: string) =>
  url ? findings.filter((f) => bareOf(f.url) === bareOf(url)) : []

/** What was found elsewhere: on no page of the list, such as a dead link. */
export const foundElsewhere = (findings: Finding[], pages: SitePage[]) => {
  const own = new Set(pages.map((p) => bareOf(p.url)))
  return findings.filter((f) => !own.has(bareOf(f.url)))
}

/** The findings in the order in which they are mended: what comes before all else first. */
export const byUrgency = (findings: Finding[]) => [...findings].sort((a, b) => +b.first - +a.first)
