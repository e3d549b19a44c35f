import type { Column, Details } from '@/api/client'

/** Something about a page that its owner should hear; `first` ones are to be fixed before all else. */
export interface Fault {
  says: string
  first?: boolean
}

/** What stands out on a page, the gravest first. */
export function faults(c: Column): Fault[] {
  const d = c.details
  if (!d) return []
  const out: Fault[] = []
  if (d.under_construction) out.push({ says: 'under construction', first: true })
  if (/noindex/i.test(d.robots)) out.push({ says: 'kept out of search engines', first: true })
  if (d.placeholder) out.push({ says: 'placeholder text', first: true })
  if (d.phones.length && !d.phones.some((p) => p.linked)) out.push({ says: 'phone is no link' })
  if (!d.phones.length) out.push({ says: 'no phone number' })
  if (!c.description) out.push({ says: 'no description' })
  if (d.vague.length) out.push({ says: `“${d.vague[0]}”` })
  if (d.foreign > d.placeholder) out.push({ says: 'text in another language' })
  return out
}

const some = (n: number, one: string, many = `${one}s`) => (n ? `${n} ${n === 1 ? one : many}` : 'none')

/** The facts of a page as an owner would be shown them. */
export function facts(c: Column, d: Details): { name: string; says: string[] }[] {
  const phones = d.phones.map((p) => `${p.number} ${p.linked ? '(a touch calls it)' : '(no link)'}`)
  return [
    { name: 'Title', says: [c.title || 'none'] },
    { name: 'Description', says: [c.description || 'none'] },
    { name: 'Phone', says: phones.length ? phones : ['none'] },
    { name: 'Mail', says: d.mails.length ? d.mails : ['none that a link writes to'] },
    { name: 'Forms', says: [some(d.forms, 'form')] },
    { name: 'Films', says: [some(d.videos, 'film')] },
    { name: 'Maps', says: [some(d.maps, 'map')] },
    { name: 'Links', says: [`${d.internal} within the site, ${d.external} to others`] },
    { name: 'Testimonials', says: [some(d.testimonials, 'testimonial')] },
    { name: 'Years in trade', says: [d.years || 'not said'] },
    { name: 'Vague words', says: d.vague.length ? d.vague.map((v) => `“${v}”`) : ['none'] },
    { name: 'Placeholder', says: [some(d.placeholder, 'word')] },
    { name: 'Other language', says: [some(d.foreign, 'word')] },
    {
      name: 'Structured data',
      says: d.businesses.length
        ? d.businesses.map((b) => [b.type, b.name, b.phone, b.address].filter(Boolean).join(' · '))
        : ['no business is described'],
    },
    { name: 'Address', says: [d.secure ? 'secure (https)' : 'not secure (http)'] },
    { name: 'Canonical', says: [d.canonical || 'not said'] },
    { name: 'Robots', says: [d.robots || 'nothing said'] },
    { name: 'Language', says: [c.lang || 'not said'] },
  ]
}
