import type { Book, Verdict } from '@/api/types'
import { plural } from '@/parts/format'

/** The verdicts on a word, by the keys that say them. */
export const verdicts: { key: string; verdict: Verdict; says: string; of: string }[] = [
  { key: '1', verdict: 'firm', says: 'business', of: 'is a business' },
  { key: '2', verdict: 'maker', says: 'maker we work on', of: 'is a maker' },
  { key: '3', verdict: 'elsewhere', says: 'other place', of: 'is another place' },
  { key: '4', verdict: 'not_ours', says: 'not our service', of: 'is not our service' },
  { key: '5', verdict: 'ordinary', says: 'ignore this word', of: 'is ignored' },
]

/** What a verdict says of a word: “oakum” is a business. */
export function told(word: string, verdict: Verdict): string {
  if (verdict === 'ours') return `“${word}” is ours`
  return `“${word}” ${verdicts.find((v) => v.verdict === verdict)?.of ?? 'is left to the rule'}`
}

/** What was changed in the book, in words; empty for nothing. */
export function changed(change: Book['changed']): string {
  if (!change) return ''
  const named = (leads: string[]) =>
    leads.slice(0, 2).join(', ') + (leads.length > 2 ? ` and ${leads.length - 2} more` : '')
  const families = (n: number) => plural(n, 'family', 'families')
  return [
    change.aside.length && `${families(change.aside.length)} set aside: ${named(change.aside)}`,
    change.kept.length && `${families(change.kept.length)} kept: ${named(change.kept)}`,
    change.sure && `${families(change.sure)} sure now`,
    change.joined && `${families(change.joined)} joined`,
  ]
    .filter(Boolean)
    .join('; ')
}

/** A sentence with what it changed behind it. */
export const saying = (sentence: string, change: Book['changed']) =>
  [sentence, changed(change) || 'nothing changed in the book'].join(': ')
