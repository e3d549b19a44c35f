import type { Column } from '@/api/client'
import { bare, moment } from '@/parts/format'

/** How a page came in, by its road. */
const roads: Record<string, string> = {
  web: 'read',
  browser: 'drawn in a browser',
  'saved file': 'from a saved file',
  'web archive': 'from a web archive',
  pasted: 'pasted',
}

/** How and when a page came in: "drawn in a browser today 09:12". */
export function cameIn(c: Column): string {
  return `${roads[c.road] ?? c.road} ${moment(c.taken_at)}`
}

/** The addresses that led on to a page, empty for none. */
export function ledOn(c: Column): string {
  return c.redirects.length ? `led on from ${c.redirects.map(bare).join(', ')}` : ''
}

/** Whether a script draws the page and no browser has drawn it. */
export function drawnByScript(c: Column): boolean {
  return c.warnings.some((w) => w.startsWith('drawn by script'))
}
