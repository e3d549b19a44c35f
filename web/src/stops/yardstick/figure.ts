import type { Figure } from '@/api/client'

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

/** Between what a figure may be, and what it is by default. */
export function boundsOf(f: Figure): string {
  if (f.unit === 'choice') return `by default ${f.default.replace('_', ' ')}`
  if (f.unit === 'lines') return 'one sentence a line, {phrase} in place of the phrase'
  return `from ${f.least} to ${f.most}, by default ${f.default}`
}

/** A value as a table shows it. */
export function shownValue(f: Figure): string {
  if (f.unit === 'lines') return `${f.value.split('\n').filter(Boolean).length} sentences`
  return f.value.replace('_', ' ')
}
