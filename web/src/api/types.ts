import type {
  Book,
  BookPhrase,
  BookRow,
  Column,
  EntryInputBody,
  FigureTable,
  Layout,
  OwnInputBody,
  Plan,
  Recognized,
  ResultEntry,
  ResultsPreview,
} from './gen/types.gen'

/** What the program knows and takes, as its description has it, and names for what is inside of that. */
export type * from './gen/types.gen'

export type Intent = BookRow['intent']
export type GainUnit = Plan['unit']
export type ReadMode = Column['mode']
export type ResultPart = ResultEntry['part']
export type ResultField = ResultsPreview['columns'][number]
export type ColumnRole = Layout['roles'][number]
export type HandedAs = Recognized['as']
export type EntryDraft = Omit<EntryInputBody, 'lineup' | 'phrase'>

/** A target that is added by hand. */
export type OwnDraft = OwnInputBody

/** Changes of figures by their keys; an empty value brings the other back. */
export type FigureChanges = Record<string, string>

/** What the user says of a word, empty for nothing. */
export type Verdict = Book['verdicts'][number]['verdict']

/** Where searches were counted, empty if it is not known. */
export type SearchArea = BookPhrase['area']

/** An id as all composables take it: it may become another one. */
export type Id = () => number

/** How a table of figures is read, as its form has it. */
export interface FigureLayout {
  table: number
  kind: FigureTable['kind']
  heading: number
  columns: FigureTable['columns']
  site: string
  source: string
  taken_on: string
}
