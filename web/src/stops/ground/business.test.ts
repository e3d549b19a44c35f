import type { Business } from '@/api/types'
import { describe, expect, it } from 'vitest'
import {
  emptyForm,
  placeOf,
  proposed,
  serviceOf,
  toBusiness,
  toForm,
  withProposed,
  isAmount,
} from './business'

const business: Business = {
  name: 'Brindle & Ash',
  postcode: '04101',
  trade: 'chimney care',
  phone: '207-555-0134',
  home_page: 'http://brindle.example/',
  language: 'pt-BR',
  street_address: '12 North Main Street, Tarn Harbor, ME 04101',
  address_hidden: true,
  opening_hours: 'Mon-Fri 8am-5pm',
  more_phones: '207-555-0177',
  customers: 4.5,
  money: '$',
  services: [{ name: 'chimney sweep', words: ['chimney cleaning'], worth: 280 }],
  places: [{ name: 'Tarn Harbor', state: 'ME', spellings: ['Tarn Harbour'], home: true }],
  phrases: ['chimney sweep tarn harbor', 'chimney cleaning'],
}

describe('a business as a form', () => {
  it('comes back as it was', () => expect(toBusiness(toForm(business))).toEqual(business))
  it('leaves out empty rows', () => {
    const empty = toBusiness(emptyForm())
    expect([empty.services, empty.places, empty.phrases]).toEqual([[], [], []])
  })
  it('takes numbers as people type them', () => {
    expect(toBusiness({ ...emptyForm(), customers: ' 4.5 % ' }).customers).toBe(4.5)
    expect(toBusiness({ ...emptyForm(), customers: 'some' }).customers).toBe(0)
  })
  it('reads pasted lines', () => {
    expect(serviceOf('flue liner, liner , lining')).toEqual({
      name: 'flue liner',
      words: 'liner, lining',
      worth: '',
    })
    expect(placeOf('Tarn Harbor, ME')).toEqual({ name: 'Tarn Harbor', state: 'ME', spellings: '' })
  })
})

describe('a proposal', () => {
  const none = {
    name: '',
    trade: '',
    phone: '',
    place: '',
    service: '',
    language: '',
    street_address: '',
    opening_hours: '',
  }
  it('tells what the page says, and nothing else', () => {
    expect(proposed({ ...none, phone: '207-555-0142', place: 'Ostrey, ME' }).map((f) => f.name)).toEqual([
      'Phone',
      'Home town',
    ])
  })
  it('becomes part of the business', () => {
    const empty = toBusiness(emptyForm())
    expect(withProposed(empty, 'name', 'Brindle').name).toBe('Brindle')
    expect(withProposed(empty, 'place', 'Ostrey, ME').places).toEqual([
      { name: 'Ostrey', state: 'ME', home: true },
    ])
    expect(withProposed(business, 'place', 'Ostrey, ME').places[1]!.home).toBe(false)
    expect(withProposed(empty, 'service', 'chimney sweep').services).toEqual([{ name: 'chimney sweep' }])
  })
})

describe('amounts', () => {
  it.each(['', '250', '$1,200', '1,200.50', '1 200 €', '99 USD', '0'])('are %s', (s) =>
    expect(isAmount(s)).toBe(true),
  )
  it.each(['abc', '2x5', 'about', '12-15'])('are not %s', (s) => expect(isAmount(s)).toBe(false))
})
