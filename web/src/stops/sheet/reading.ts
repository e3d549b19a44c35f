import type { Column } from '@/api/types'
import { bare, moment } from '@/parts/format'

const sources: Record<Column['source'], string> = {
  '': '',
  web: 'read',
  browser: 'rendered in a browser',
  saved_file: 'from a saved file',
  web_archive: 'from a web archive',
  pasted: 'pasted',
  tab: 'handed over from a tab',
  draft: 'saved',
}

/** Where a reading came from and when: "rendered in a browser today 9:12 AM". */
export function cameIn(c: Pick<Column, 'source' | 'taken_at'>): string {
  return `${sources[c.source]} ${moment(c.taken_at)}`.trim()
}

/** The addresses that redirected to a page, empty for none. */
export function redirected(c: Pick<Column, 'redirects'>): string {
  return c.redirects.length ? `redirected from ${c.redirects.map(bare).join(', ')}` : ''
}

/** Whether a script renders the page and no browser has rendered it. */
export function scriptOnly(c: Pick<Column, 'warnings'>): boolean {
  return c.warnings.some((w) => w.code === 'drawn_by_script')
}
