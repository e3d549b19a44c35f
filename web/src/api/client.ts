import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

type Schemas = components['schemas']

export type ShelfRow = Schemas['ShelfRow']
export type Business = Schemas['Business']
export type Ground = Schemas['Ground']
export type Proposal = Schemas['Proposal']
export type Lineup = Schemas['Lineup']
export type ResultField = Schemas['ResultsPreview']['columns'][number]
export type Recorded = Schemas['Recorded']
export type EntryDraft = Omit<Schemas['EntryInputBody'], 'lineup' | 'phrase'>
export type SiteKind = Schemas['SiteKind']
export type SiteFigures = Schemas['SiteFigures']
export type FigureDraft = Omit<Schemas['FigureInputBody'], 'was'>
export type Handed = Schemas['Handed']
export type HandedAs = Schemas['Recognized']['as']
export type Entry = Schemas['Entry']
export type Failure = Schemas['Failure']
export type Run = Schemas['Run']
export type Sheet = Schemas['Sheet']
export type Column = Schemas['Column']
export type Details = Schemas['Details']
export type Flaw = Schemas['Flaw']
export type PageFacts = Schemas['PageFacts']
export type MenuItem = Schemas['MenuItem']
export type Filed = Schemas['Filed']
export type Placement = Schemas['Placement']
export type Slots = Schemas['Slots']
export type Evidence = Schemas['Evidence']
export type Plan = Schemas['Plan']
export type PlanPage = Schemas['PlanPage']
export type Part = Schemas['Part']
export type Why = Schemas['Why']
export type Figure = Schemas['Figure']
export type PlanChange = Schemas['PlanChange']
export type Outline = Schemas['Outline']
export type OutlineSection = Schemas['OutlineSection']
export type OutlineEdits = Schemas['OutlineEdits']
export type ImageRow = Schemas['ImageRow']
export type Proof = Schemas['Proof']
export type Draft = Schemas['Draft']
export type Rung = Schemas['Rung']
export type Target = Schemas['Target']
export type Choice = Schemas['Choice']
export type Brief = Schemas['Brief']
export type Book = Schemas['Book']
export type BookRow = Schemas['BookRow']
export type FamilyChoice = Schemas['FamilyChoice']
export type Preview = Schemas['Preview']
export type Layout = Schemas['Layout']
export type Report = Schemas['Report']
export type PageInfo = Schemas['PageInfo']
export type PageDraft = Schemas['PageDraft']
export type CarrierPage = Schemas['CarrierPage']
export type BookPhrase = Schemas['BookPhrase']
export type Found = Schemas['Found']
export type FoundPhrase = Schemas['FoundPhrase']
export type Lists = Schemas['Lists']
export type Site = Schemas['Site']
export type SitePage = Schemas['SitePage']
export type ToMake = Schemas['ToMake']
export type Finding = Schemas['Finding']
export type Offer = Schemas['Offer']
export type Rival = Schemas['Rival']
export type Overview = Schemas['Overview']
export type OverviewRow = Schemas['OverviewRow']
export type Beside = Schemas['Beside']

/** What the values of lists are called in the API. */
export type Intent = BookRow['intent']
export type GainUnit = Plan['unit']
export type ReadMode = Column['mode']
export type ResultPart = Schemas['ResultEntry']['part']
export type ColumnRole = Layout['roles'][number]

/** An id as all queries and changes take it: it may become another one. */
export type Id = () => number

export const api = createClient<paths>({ baseUrl: '/' })

/** A file as the description of the API has it. */
export const binary = (file: File) => file as unknown as string

/** Writes a body as a form: values under their names, each file of a list under the same one. */
export function asForm(body: object | undefined): FormData {
  const form = new FormData()
  for (const [name, value] of Object.entries(body ?? {}))
    for (const one of Array.isArray(value) ? value : [value])
      if (one !== undefined) form.append(name, one instanceof Blob ? one : String(one))
  return form
}

/** What failed, by its code, and the sentence that tells it. */
export class ApiError extends Error {
  readonly code: string
  constructor(problem: { code?: string; detail?: string } | null) {
    super(problem?.detail || 'The program did not answer. Check that it is still running.')
    this.code = problem?.code ?? ''
  }
}

/** Takes the data out of an answer, or throws its sentence. */
export async function taken<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let result
  try {
    result = await answer
  } catch {
    throw new ApiError(null)
  }
  if (!result.response.ok) throw new ApiError(result.error as Partial<Schemas['Problem']> | null)
  return result.data as T
}
