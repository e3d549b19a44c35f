import type { Column, Details } from '@/api/types'
import { count, plural } from '@/parts/format'

/** A fact of a page: its name and what there is. */
export interface Fact {
  name: string
  says: string[]
  /** A flaw, or nothing where something is expected. */
  wrong?: boolean
}

/** What a figure says of something that may be missing. */
const some = (n: number, one: string) => (n ? plural(n, one) : 'none')
const list = (items: string[], none: string) => (items.length ? items : [none])
const quoted = (s: string) => `“${s}”`

/** How a visitor calls: the best of a page's phone numbers. */
export function phoneSays(d: Pick<Details, 'phones'>): string {
  if (!d.phones.length) return 'no phone'
  return d.phones.some((p) => p.linked) ? 'click to call' : 'phone is not a link'
}

/** The facts of a page in the groups in which an owner is shown them. */
export function facts(c: Column, d: Details): { name: string; facts: Fact[] }[] {
  return [
    { name: 'In the search results', facts: searchFacts(c, d) },
    { name: 'Contact', facts: contactFacts(d) },
    { name: 'Content', facts: contentFacts(d) },
    { name: 'Should not be there', facts: unwantedFacts(d) },
    { name: 'Structured data', facts: structuredFacts(d) },
  ]
}

function searchFacts(c: Column, d: Details): Fact[] {
  return [
    { name: 'Title', says: [c.title || 'none'], wrong: !c.title },
    { name: 'Meta description', says: [c.description || 'none'], wrong: !c.description },
    { name: 'Canonical', says: [d.canonical || 'not set'] },
    { name: 'Robots', says: [d.robots || 'not set'], wrong: d.flaws.some((f) => f.code === 'noindex') },
    { name: 'Language', says: [c.lang || 'not set'] },
    { name: 'URL', says: [d.secure ? 'secure (https)' : 'not secure (http)'], wrong: !d.secure },
  ]
}

function contactFacts(d: Details): Fact[] {
  const phones = d.phones.map((p) => `${p.number}, ${p.linked ? 'click to call' : 'not a link'}`)
  return [
    { name: 'Phone', says: list(phones, 'none'), wrong: !d.phones.some((p) => p.linked) },
    { name: 'Email', says: list(d.mails, 'no link to an email address') },
    { name: 'Forms', says: [some(d.forms, 'form')] },
    { name: 'Maps', says: [some(d.maps, 'map')] },
    { name: 'Profiles', says: list(d.profiles, 'no links to profiles') },
  ]
}

function contentFacts(d: Details): Fact[] {
  return [
    { name: 'Videos', says: [some(d.videos, 'video')] },
    { name: 'Testimonials', says: [some(d.testimonials, 'testimonial')] },
    { name: 'Years in trade', says: [d.years || 'not mentioned'] },
    { name: 'Text in images', says: list(d.baked, 'none found'), wrong: d.baked.length > 0 },
  ]
}

function unwantedFacts(d: Details): Fact[] {
  const passages = (p: Details['foreign']) =>
    p.words ? [plural(p.words, 'word'), ...p.texts.map(quoted)] : ['none']
  return [
    { name: 'Vague words', says: list(d.vague.map(quoted), 'none'), wrong: d.vague.length > 0 },
    { name: 'Placeholder', says: passages(d.placeholder), wrong: d.placeholder.words > 0 },
    { name: 'Other language', says: passages(d.foreign), wrong: d.foreign.words > 0 },
  ]
}

function structuredFacts(d: Details): Fact[] {
  if (!d.businesses.length) return [{ name: 'Business', says: ['not described'], wrong: true }]
  return d.businesses.flatMap((b) => [
    { name: b.type || 'Business', says: [b.name, b.phone, b.address].filter(Boolean) },
    ...(b.hours.length ? [{ name: 'Hours', says: b.hours }] : []),
    ...(b.areas.length ? [{ name: 'Areas served', says: [b.areas.join(', ')] }] : []),
  ])
}

/** Forms, videos and maps of a page, in one line. */
export const formsVideosMaps = (d: Pick<Details, 'forms' | 'videos' | 'maps'>) =>
  [d.forms, d.videos, d.maps].map(count).join(' · ')
