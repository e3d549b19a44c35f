import type { Finding, SitePage, ToMake } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { byUrgency, foundElsewhere, foundOn, tree } from './tree'

const page = (kind: string, url: string, service = '', place = '') =>
  ({ kind, url, service, place }) as unknown as SitePage
const make = (kind: string, service: string, place = '') => ({ kind, service, place }) as unknown as ToMake

describe('the tree of a site', () => {
  it('has the pages by kind, those to make behind them', () => {
    const got = tree(
      [page('other', 'x/y'), page('home', 'x'), page('service', 'x/s', 'sweeping')],
      [make('service', 'liners'), make('area', '', 'Ostrey')],
    )
    expect(got.map((b) => [b.kind, b.pages.length, b.toMake.length])).toEqual([
      ['home', 1, 0],
      ['service', 1, 1],
      ['area', 0, 1],
      ['other', 1, 0],
    ])
  })

  it('does not ask for a page that is planned already', () => {
    const got = tree([page('service', '', 'liners')], [make('service', 'liners')])
    expect(got[0]?.toMake).toEqual([])
  })
})

describe('findings', () => {
  const findings = [
    { type: 'thin_page', url: 'http://www.a.example/x/', says: 'thin', first: false },
    { type: 'dead_link', url: 'http://a.example/gone', says: '404', first: true },
  ] as Finding[]

  it('stand with their page, whatever way its address is written', () => {
    expect(foundOn(findings, 'https://a.example/x').map((f) => f.says)).toEqual(['thin'])
    expect(foundOn(findings, '')).toEqual([])
  })

  it('stand elsewhere if they are of no page', () => {
    expect(foundElsewhere(findings, [page('other', 'http://a.example/x')]).map((f) => f.says)).toEqual([
      '404',
    ])
  })

  it('begin with what is mended before all else', () => {
    expect(byUrgency(findings).map((f) => f.says)).toEqual(['404', 'thin'])
  })
})
