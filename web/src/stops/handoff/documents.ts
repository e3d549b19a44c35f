import type { DocumentFileData } from '@/api/gen'

/** What is handed over, as the program names it; the message is no file, the workbook a file that is not shown, the
 * walk-through a view of its own. */
export type DocumentName = DocumentFileData['path']['document'] | 'message' | 'workbook'
export type FormatName = NonNullable<NonNullable<DocumentFileData['query']>['format']> | 'xlsx'

/** Whether a document is shown as it will print. */
export const isPaper = (name: DocumentName): name is DocumentFileData['path']['document'] =>
  name !== 'message' && name !== 'workbook'

export interface Handed {
  name: DocumentName
  says: string
  note: string
  /** Whether it is about one page. */
  ofPage?: boolean
  /** What it can be saved as, the first by itself. */
  formats: FormatName[]
}

const written: FormatName[] = ['docx', 'pdf', 'html', 'md']

/** The documents, by who gets them. */
export const handed: { to: string; list: Handed[] }[] = [
  {
    to: 'For the owner',
    list: [
      {
        name: 'plan',
        says: 'Plan',
        note: 'where they stand, what is done, what it brings',
        formats: written,
      },
      { name: 'one-page', says: 'Plan on one page', note: 'the first jobs and the rivals', formats: written },
      {
        name: 'account',
        says: 'What has moved',
        note: 'done, moved and next, since a day',
        formats: written,
      },
      { name: 'message', says: 'Message', note: 'at most 150 words, to copy', formats: [] },
      { name: 'walk', says: 'Talking points', note: 'the walk-through on paper', formats: written },
    ],
  },
  {
    to: 'For the writer',
    list: [
      {
        name: 'pencilled',
        says: 'Pencilled page',
        note: 'this page, as it should become',
        ofPage: true,
        formats: ['html', 'pdf'],
      },
      {
        name: 'brief',
        says: 'Brief',
        note: 'all that this page asks for',
        ofPage: true,
        formats: written,
      },
      { name: 'briefs', says: 'All briefs', note: 'of every page, in one', formats: written },
    ],
  },
  {
    to: 'For yourself',
    list: [
      {
        name: 'workbook',
        says: 'Workbook',
        note: 'every figure with its evidence',
        formats: ['xlsx'],
      },
    ],
  },
]

export const documents = handed.flatMap((h) => h.list)

/** The document of a name; the page in pencil for none. */
export const handedOver = (name: string) =>
  documents.find((d) => d.name === name) ?? documents.find((d) => d.ofPage)!

/** What a format is called. */
export const formatNames: Record<FormatName, string> = {
  docx: 'DOCX',
  pdf: 'PDF',
  html: 'HTML',
  md: 'Markdown',
  xlsx: 'XLSX',
}

/** The sheets of the workbook, with what is on them. One without rows is left out. */
export const sheets = [
  { name: 'Plan', has: 'every part of every target, in the order of work' },
  { name: 'Pages', has: 'your pages and those to make, with words, target and first phrase' },
  { name: 'Comparison', has: 'each page beside the rivals’ pages, measured' },
  { name: 'Placement', has: 'where each phrase stands, place by place' },
  { name: 'Phrases', has: 'the phrase book' },
  { name: 'Images', has: 'file names and alt texts, and better ones' },
  { name: 'Searches', has: 'the recorded search results' },
  { name: 'Standing', has: 'links, listings and map profile, with what they were before' },
  { name: 'Standing to do', has: 'the work that no page holds' },
  { name: 'Links', has: 'sites to ask for a link, and the doubtful ones' },
  { name: 'Listings', has: 'directories, field by field' },
  { name: 'Map profile', has: 'the facts of the map profile' },
]
