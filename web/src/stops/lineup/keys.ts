import type { Command } from '@/parts/keys'
import { kindKeys } from './entries'

const none = () => false

/** What keys do on a row of results: told by help, done by the rows. */
export const ofRow: Command[] = [
  { key: 'ArrowDown', says: 'Next result: arrows move from row to row', ofRow: true, run: none },
  { key: ' ', says: 'Use as rival, or dismiss', ofRow: true, run: none },
  { key: 'Delete', says: 'Dismiss the rival, or remove a typed row', ofRow: true, run: none },
  { key: 'Alt ↑ ↓', says: 'Move the result up or down', ofRow: true, run: none },
  ...kindKeys.map((k) => ({ key: k.key, says: `Mark as ${k.says}`, ofRow: true, run: none })),
]
