import type { ResultField, ResultPart } from '@/api/types'

/** The parts of a page of results in their order, with what they are called. */
export const partNames: Record<ResultPart, string> = {
  paid: 'paid',
  'map-sponsored': 'sponsored on the map',
  map: 'map pack',
  organic: 'organic',
}
export const parts = Object.keys(partNames) as ResultPart[]

/**
 * What was copied of a page of results, as files: its HTML where that has links, for it tells
 * the addresses, and its text. Of both the one counts that more entries are read of.
 */
export function filesOfPaste(data: Pick<DataTransfer, 'getData'>): File[] {
  const html = data.getData('text/html')
  const text = data.getData('text/plain')
  const files: File[] = []
  if (/<a\s[^>]*href/i.test(html)) files.push(new File([html], 'pasted results.html', { type: 'text/html' }))
  if (text.trim()) files.push(new File([text], 'pasted results.txt', { type: 'text/plain' }))
  return files
}

/** What a column of a table of results may hold. */
export const fields: { value: ResultField; says: string }[] = [
  { value: '', says: 'skip' },
  { value: 'part', says: 'part' },
  { value: 'position', says: 'position' },
  { value: 'title', says: 'name or title' },
  { value: 'url', says: 'URL' },
  { value: 'domain', says: 'domain' },
  { value: 'rating', says: 'rating' },
  { value: 'reviews', says: 'reviews' },
  { value: 'phone', says: 'phone' },
  { value: 'years', says: 'years in trade' },
  { value: 'sponsored', says: 'sponsored' },
]
