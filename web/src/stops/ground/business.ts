import type { Business, Proposal } from '@/api/types'
import { lines, parts } from '@/parts/format'

/** A business as the form holds it: rows of text, the last one empty for more. */
export interface Form {
  name: string
  trade: string
  phone: string
  homePage: string
  language: string
  customers: string
  money: string
  postcode: string
  address: string
  hidden: boolean
  hours: string
  phones: string
  services: ServiceRow[]
  places: PlaceRow[]
  phrases: string
}

/** What the fields are called where it is told that they were saved. */
export const fieldNames: Record<keyof Form, string> = {
  name: 'name',
  trade: 'trade',
  phone: 'phone',
  homePage: 'home page',
  language: 'language',
  customers: 'customers per 100 visits',
  money: 'currency',
  postcode: 'postcode',
  address: 'street address',
  hidden: 'choice to show the address',
  hours: 'opening hours',
  phones: 'other phones',
  services: 'services',
  places: 'places',
  phrases: 'phrases',
}

export interface ServiceRow {
  name: string
  words: string
  worth: string
}

export interface PlaceRow {
  name: string
  state: string
  spellings: string
}

export const emptyService = (): ServiceRow => ({ name: '', words: '', worth: '' })
export const emptyPlace = (): PlaceRow => ({ name: '', state: '', spellings: '' })

export const emptyForm = (): Form => ({
  name: '',
  trade: '',
  phone: '',
  homePage: '',
  language: 'en',
  customers: '',
  money: '$',
  postcode: '',
  address: '',
  hidden: false,
  hours: '',
  phones: '',
  services: [emptyService()],
  places: [emptyPlace()],
  phrases: '',
})

const figure = (n: number | undefined) => (n ? String(n) : '')

export function toForm(b: Business): Form {
  return {
    name: b.name,
    trade: b.trade,
    phone: b.phone,
    homePage: b.home_page,
    language: b.language || 'en',
    customers: figure(b.customers),
    money: b.money ?? '',
    postcode: b.postcode ?? '',
    address: b.street_address ?? '',
    hidden: b.address_hidden ?? false,
    hours: b.opening_hours ?? '',
    phones: b.more_phones ?? '',
    services: [
      ...b.services.map((s) => ({
        name: s.name,
        words: (s.words ?? []).join(', '),
        worth: figure(s.worth),
      })),
      emptyService(),
    ],
    places: [
      ...b.places.map((p) => ({
        name: p.name,
        state: p.state ?? '',
        spellings: (p.spellings ?? []).join(', '),
      })),
      emptyPlace(),
    ],
    phrases: b.phrases.join('\n'),
  }
}

/** Whether a text is an amount as people type it, with a sign of money and parted thousands; an empty one is none yet. */
export const isAmount = (s: string) => /^(|[^\d.,]{0,4}\d[\d,\s]*(\.\d+)?[^\d.,]{0,4})$/.test(s.trim())

/** A number as people type it, 0 for none. */
const amount = (s: string) => (isAmount(s) && Number(s.replace(/[^0-9.]/g, ''))) || 0

/** The first place is the home town. */
export function toBusiness(f: Form): Business {
  return {
    name: f.name,
    trade: f.trade,
    phone: f.phone,
    home_page: f.homePage,
    language: f.language,
    customers: amount(f.customers),
    money: f.money,
    postcode: f.postcode,
    street_address: f.address,
    address_hidden: f.hidden,
    opening_hours: f.hours,
    more_phones: f.phones,
    services: f.services
      .filter((s) => s.name.trim())
      .map((s) => ({ name: s.name.trim(), words: parts(s.words, ','), worth: amount(s.worth) })),
    places: f.places
      .filter((p) => p.name.trim())
      .map((p, i) => ({
        name: p.name.trim(),
        state: p.state.trim(),
        spellings: parts(p.spellings, ','),
        home: i === 0,
      })),
    phrases: lines(f.phrases),
  }
}

/** A pasted line as a service: its name, and behind commas other words for it. */
export function serviceOf(line: string): ServiceRow {
  const [name = '', ...words] = line.split(',')
  return { name: name.trim(), words: words.map((w) => w.trim()).join(', '), worth: '' }
}

/** A pasted line as a place: Tarn Harbor, ME. */
export function placeOf(line: string): PlaceRow {
  const [name = '', state = ''] = line.split(',')
  return { name: name.trim(), state: state.trim(), spellings: '' }
}

/** The parts of a proposal, those that say something, as they are told. */
export function proposed(p: Proposal): { field: keyof Proposal; name: string; says: string }[] {
  const names: [keyof Proposal, string][] = [
    ['name', 'Name'],
    ['phone', 'Phone'],
    ['trade', 'Trade'],
    ['place', 'Home town'],
    ['service', 'Service'],
    ['language', 'Language'],
    ['street_address', 'Street address'],
    ['opening_hours', 'Opening hours'],
  ]
  return names.map(([field, name]) => ({ field, name, says: p[field] })).filter((f) => f.says)
}

/** A business with a part of a proposal in it. */
export function withProposed(b: Business, field: keyof Proposal, says: string): Business {
  switch (field) {
    case 'place': {
      const { name, state } = placeOf(says)
      return { ...b, places: [...b.places, { name, state, home: !b.places.length }] }
    }
    case 'service':
      return { ...b, services: [...b.services, { name: says }] }
    default:
      return { ...b, [field]: says }
  }
}
