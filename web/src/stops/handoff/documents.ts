import type { DocumentFileData } from '@/api/gen'

/** What is handed over, as the program names it; the message is no file, the walk-through a view of its own. */
export type DocumentName = DocumentFileData['path']['document'] | 'message'
export type FormatName = NonNullable<NonNullable<DocumentFileData['query']>['format']>

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
}
