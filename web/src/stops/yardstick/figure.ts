import type { Figure } from '@/api/types'
import { plural } from '@/parts/format'

const units: Partial<Record<Figure['unit'], string>> = {
  share: 'of 1',
  percent: '%',
  words: 'words',
  minutes: 'min',
  months: 'months',
  visits: 'visits a month',
  position: 'position',
  characters: 'characters',
  times: 'times',
  per_thousand: 'in 1,000 words',
  kilometers: 'km',
}

/** What a figure is in; nothing for a plain count. */
export const unitOf = (f: Figure) => units[f.unit] ?? ''

/** Whether it is a text, of one line or of several. */
export const isText = (f: Figure) => f.unit === 'line' || f.unit === 'lines' || f.unit === 'tags'

/** Between what a figure may be, and what it is by default. */
export function boundsOf(f: Figure): string {
  if (f.unit === 'choice') return `by default ${f.default.replace('_', ' ')}`
  if (f.unit === 'tags') return 'tags such as es or fr-CA'
  if (!isText(f)) return `from ${f.least} to ${f.most}, by default ${f.default}`
  const each = f.unit === 'lines' ? 'one a line' : 'one line'
  const [phrase] = f.blanks.filter((b) => b === '{phrase}')
  const others = f.blanks.filter((b) => b !== phrase)
  const must = phrase ? `, each with ${phrase} once` : ''
  return each + must + (others.length ? `; filled in where it stands: ${others.join(' ')}` : '')
}

/** A value as a table shows it. */
export function shownValue(f: Figure): string {
  if (f.unit === 'lines') return plural(f.value.split('\n').filter(Boolean).length, 'line')
  if (f.unit === 'tags') return f.value || 'none'
  return f.unit === 'choice' ? f.value.replace('_', ' ') : f.value
}
