import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

type Schemas = components['schemas']
export type ShelfRow = Schemas['ShelfRow']
export type Business = Schemas['Business']
export type Ground = Schemas['Ground']
export type Lineup = Schemas['Lineup']
export type Entry = Schemas['Entry']
export type Run = Schemas['Run']
export type Sheet = Schemas['Sheet']
export type Column = Schemas['Column']
export type Details = Schemas['Details']
export type PageFacts = Schemas['PageFacts']
export type MenuItem = Schemas['MenuItem']
export type Filed = Schemas['Filed']
export type Placement = Schemas['Placement']
export type Slots = Schemas['Slots']
export type Evidence = Schemas['Evidence']
export type Targets = Schemas['Targets']
export type TargetView = Schemas['TargetView']
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

export const api = createClient<paths>({ baseUrl: '/' })

/** The one sentence that a problem answer holds. */
function sentence(problem: unknown): string {
  if (problem && typeof problem === 'object') {
    const p = problem as { detail?: string; errors?: { message?: string; location?: string }[] }
    const first = p.errors?.[0]
    if (first?.message) return `${first.location?.replace(/^body\./, '') ?? 'the entry'}: ${first.message}`
    if (p.detail) return p.detail
  }
  return 'the program did not answer: is it still running?'
}

/** Takes the data out of an answer, or throws its sentence. */
export async function taken<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let result
  try {
    result = await answer
  } catch {
    throw new Error(sentence(null))
  }
  if (!result.response.ok) throw new Error(sentence(result.error))
  return result.data as T
}
