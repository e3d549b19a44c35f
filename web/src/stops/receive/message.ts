/** What a tab hands over: the page as it is shown, or why there is none. */
export interface Page {
  origin: string
  key: string
  url: string
  title: string
  html: string
}

export type Said = { page: Page } | { refused: string }

const text = (value: unknown) => (typeof value === 'string' ? value : '')

/**
 * Reads a message of the tab that opened this one; undefined for what is not for us:
 * of another window, or without the word that this tab gave it.
 */
export function readMessage(
  event: Pick<MessageEvent, 'origin' | 'source' | 'data'>,
  opener: unknown,
  nonce: string,
): Said | undefined {
  const data = event.data as Record<string, unknown> | null
  if (!data || event.source !== opener || data.inktally !== 'page' || data.nonce !== nonce) return undefined
  if (data.blank === true) return { refused: 'That tab is blank: there is no page to hand over.' }
  if (typeof data.bytes === 'number')
    return {
      refused: `The page has ${Math.round(data.bytes / 1048576)} MB, more than can be read. Save a part of it, or paste its text.`,
    }
  const page = {
    origin: event.origin,
    key: text(data.key),
    url: text(data.url),
    title: text(data.title),
    html: text(data.html),
  }
  if (!page.html.trim()) return { refused: 'The tab handed over an empty page.' }
  return { page }
}

/** The largest table of a page, else its lines, as a list of phrases. */
export function listOf(html: string): string {
  const doc = new DOMParser().parseFromString(html, 'text/html')
  const tables = [...doc.querySelectorAll('table')].sort((a, b) => b.rows.length - a.rows.length)
  const cell = (c: Element) => `"${(c.textContent ?? '').replace(/\s+/g, ' ').trim().replaceAll('"', '""')}"`
  if (tables[0] && tables[0].rows.length > 2)
    return [...tables[0].rows].map((r) => [...r.cells].map(cell).join(',')).join('\n')
  return (doc.body.innerText || doc.body.textContent || '')
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean)
    .join('\n')
}
