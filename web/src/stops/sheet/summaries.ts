import type { Column, Sheet } from '@/api/types'
import { count, plural } from '@/parts/format'

/**
 * What the row of a group tells of all its rows, in a sentence. A sheet whose
 * client's page was not read has nothing to tell of headings and images.
 */
export const summaries = { words, phrases, headings, images }

const own = (s: Sheet): Column | undefined => s.columns.find((c) => c.role === 'client' && c.reading_id > 0)
const rivals = (s: Sheet) => s.columns.filter((c) => c.role === 'rival')

function words(s: Sheet): string {
  const target = s.target.words
  if (target.rule === 'none') return 'no word target for this kind of page'
  const says = !own(s)
    ? `${s.page.url ? 'not read' : 'a new page'}: ${plural(target.target, 'word')}`
    : target.hold
      ? 'the page has enough words: work on placement'
      : `${count(target.to_write)} to write`
  return `${says} · ${strongest(s)}`
}

function strongest(s: Sheet): string {
  const mark = s.columns[s.target.mark_of]
  if (mark) return `the strongest comparable page has ${count(mark.words.seen)}`
  if (s.target.words.mark) return `the mark from the rivals’ pages is ${count(s.target.words.mark)}`
  return rivals(s).some((r) => r.unlike && r.reading_id)
    ? 'no rival’s page is comparable'
    : 'no rival’s page was read'
}

function phrases(s: Sheet): string {
  const all = s.families.length
  if (!all) return 'no phrases yet: add them on the ground'
  const page = own(s)
  if (!page) return `${plural(all, 'family', 'families')} to place`
  const missing = page.families.filter((f) => !f.exact.title && !f.exact.h1 && !f.exact.image_names).length
  const where = 'the title, the H1 and every image file name'
  if (!missing) return 'every family is in the title, the H1 or an image file name'
  if (all === 1) return `the phrase is missing from ${where}`
  const of = missing === all ? `all ${all}` : `${missing} of ${all}`
  return `${of} families ${missing === 1 ? 'is' : 'are'} missing from ${where}`
}

function headings(s: Sheet): string {
  const page = own(s)
  if (!page) return ''
  const all = plural(page.heading_count, 'heading')
  const h1s = page.headings.filter((h) => h.level === 1)
  if (!h1s.length) return `no H1 · ${all}`
  return `${plural(h1s.length, 'H1')}: “${h1s[0]!.text}” · ${all}`
}

function images(s: Sheet): string {
  const page = own(s)
  if (!page) return ''
  const hold = page.carrying === 1 ? 'holds' : 'hold'
  return `${count(page.carrying)} of ${plural(page.image_count, 'image file name')} ${hold} a phrase`
}
