import type { Column, Details } from '@/api/client'
import { count } from '@/parts/format'

/** Something about a page that its owner should hear; `first` ones are to be fixed before all else. */
export interface Fault {
  says: string
  first: boolean
}

/** How faults are told, by their name in the API; null where the page's own words tell it. */
const told: Record<Details['faults'][number], string> = {
  'under construction': 'under construction',
  'no index': 'kept out of search engines',
  'placeholder text': 'placeholder text',
  'not secure': 'not secure',
  'phone no link': 'phone is no link',
  'no phone': 'no phone number',
  'no description': 'no description',
  'vague words': 'vague area words',
  'other language': 'text in another language',
  'words in images': 'words in images',
}

/** What stands out on a page, the gravest first. */
export function faults(c: Column): Fault[] {
  const d = c.details
  if (!d) return []
  return d.faults.map((name, i) => ({
    says: name === 'vague words' ? `“${d.vague[0]}”` : told[name],
    first: i < d.first_faults,
  }))
}

/** A fact of a page: its name and what there is. */
export interface Fact {
  name: string
  says: string[]
  /** A fault, or nothing where something is expected. */
  wrong?: boolean
}

const some = (n: number, one: string, many = `${one}s`) =>
  n ? `${count(n)} ${n === 1 ? one : many}` : 'none'
const list = (items: string[], none: string) => (items.length ? items : [none])

/** The facts of a page in the groups in which an owner is shown them. */
export function facts(c: Column, d: Details): { name: string; facts: Fact[] }[] {
  const passages = (p: Details['foreign']) =>
    p.words ? [some(p.words, 'word'), ...p.texts.map((t) => `“${t}”`)] : ['none']
  return [
    {
      name: 'In the search result',
      facts: [
        { name: 'Title', says: [c.title || 'none'], wrong: !c.title },
        { name: 'Description', says: [c.description || 'none'], wrong: !c.description },
        { name: 'Canonical', says: [d.canonical || 'not said'] },
        { name: 'Robots', says: [d.robots || 'nothing said'], wrong: d.faults.includes('no index') },
        { name: 'Language', says: [c.lang || 'not said'] },
        { name: 'Address', says: [d.secure ? 'secure (https)' : 'not secure (http)'], wrong: !d.secure },
      ],
    },
    {
      name: 'How to reach them',
      facts: [
        {
          name: 'Phone',
          says: list(
            d.phones.map((p) => `${p.number}, ${p.linked ? 'a touch calls it' : 'no link'}`),
            'none',
          ),
          wrong: !d.phones.some((p) => p.linked),
        },
        { name: 'Mail', says: list(d.mails, 'none that a link writes to') },
        { name: 'Forms', says: [some(d.forms, 'form')] },
        { name: 'Maps', says: [some(d.maps, 'map')] },
        { name: 'Profiles', says: list(d.profiles, 'no link to any') },
      ],
    },
    {
      name: 'What it shows',
      facts: [
        { name: 'Films', says: [some(d.videos, 'film')] },
        { name: 'Testimonials', says: [some(d.testimonials, 'testimonial')] },
        { name: 'Years in trade', says: [d.years || 'not said'] },
        { name: 'Words in images', says: list(d.baked, 'none found'), wrong: d.baked.length > 0 },
      ],
    },
    {
      name: 'What should not be there',
      facts: [
        {
          name: 'Vague words',
          says: list(
            d.vague.map((v) => `“${v}”`),
            'none',
          ),
          wrong: d.vague.length > 0,
        },
        { name: 'Placeholder', says: passages(d.placeholder), wrong: d.placeholder.words > 0 },
        { name: 'Other language', says: passages(d.foreign), wrong: d.foreign.words > 0 },
      ],
    },
    {
      name: 'What it tells machines',
      facts: d.businesses.length
        ? d.businesses.flatMap((b) => [
            { name: b.type || 'Business', says: [b.name, b.phone, b.address].filter(Boolean) },
            ...(b.hours.length ? [{ name: 'Hours', says: b.hours }] : []),
            ...(b.areas.length ? [{ name: 'Area served', says: [b.areas.join(', ')] }] : []),
          ])
        : [{ name: 'Business', says: ['none is described'], wrong: true }],
    },
  ]
}
