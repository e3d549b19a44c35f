import type { Business } from '@/api/client'

/** A business as the form holds it: lists are lines of text, so that a list can be pasted. */
export interface Form {
  name: string
  trade: string
  phone: string
  homePage: string
  services: string
  places: string
  phrases: string
}

export const emptyForm = (): Form => ({
  name: '',
  trade: '',
  phone: '',
  homePage: '',
  services: '',
  places: '',
  phrases: '',
})

export function toForm(b: Business): Form {
  return {
    name: b.name,
    trade: b.trade,
    phone: b.phone,
    homePage: b.home_page,
    services: b.services.join('\n'),
    places: b.places.map((p) => [p.name, p.state].filter(Boolean).join(', ')).join('\n'),
    phrases: b.phrases.join('\n'),
  }
}

const lines = (s: string) =>
  s
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)

/** The first place is the home town. */
export function toBusiness(f: Form): Business {
  return {
    name: f.name,
    trade: f.trade,
    phone: f.phone,
    home_page: f.homePage,
    services: lines(f.services),
    places: lines(f.places).map((line, i) => {
      const [name = '', state = ''] = line.split(',')
      return { name: name.trim(), state: state.trim(), home: i === 0 }
    }),
    phrases: lines(f.phrases),
  }
}
