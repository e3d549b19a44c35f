import { describe, expect, it } from 'vitest'
import { bare, count, day, duration, figure, gain, lines, moment, plural, words, pathOf } from './format'

describe('the path of an address', () => {
  it('stands for the page, the site for the first one', () => {
    expect(pathOf('http://www.brindle.example/areas/ostrey.html?x=1')).toBe('/areas/ostrey.html?x=1')
    expect(pathOf('https://brindle.example/')).toBe('brindle.example')
  })
})

describe('figures', () => {
  it.each([
    [0, '0'],
    [1455, '1,455'],
    [1234567.6, '1,234,568'],
  ])('count %d', (n, says) => expect(count(n)).toBe(says))

  it.each([
    [0, '0 rivals'],
    [1, '1 rival'],
    [1500, '1,500 rivals'],
  ])('plural %d', (n, says) => expect(plural(n, 'rival')).toBe(says))

  it('takes an irregular plural', () => {
    expect(plural(2, 'family', 'families')).toBe('2 families')
    expect(plural(1, 'family', 'families')).toBe('1 family')
  })

  it.each([
    [0.04, '0.0'],
    [9.94, '9.9'],
    [9.95, '10'],
    [1730.4, '1,730'],
  ])('gain %d', (n, says) => expect(gain(n)).toBe(says))

  it('dashes what is not known', () => {
    expect([figure(null), figure(undefined), figure(0)]).toEqual(['–', '–', '0'])
  })
})

describe('times', () => {
  it.each([
    [0, '0 min'],
    [36, '36 min'],
    [59.6, '1 h'],
    [120, '2 h'],
    [197, '3 h 17 min'],
    [65, '1 h 5 min'],
  ])('duration %d', (minutes, says) => expect(duration(minutes)).toBe(says))

  it('tells today by the time and other days by the date', () => {
    const now = new Date(2026, 10, 26, 18, 0)
    expect(moment(new Date(2026, 10, 26, 9, 5).toISOString(), now)).toMatch(/^today 9:05\sAM$/)
    expect(moment(new Date(2026, 10, 25, 9, 5).toISOString(), now)).toBe('Nov 25, 2026')
    expect([moment(null), moment(undefined), moment('')]).toEqual(['', '', ''])
  })

  it('writes a day in full', () => {
    expect(day(new Date(2026, 10, 26, 12).toISOString())).toBe('November 26, 2026')
  })
})

describe('texts', () => {
  it.each([
    ['http://shop.example/', 'shop.example'],
    ['https://www.shop.example/a/b/', 'shop.example/a/b'],
    ['shop.example?x=/', 'shop.example?x='],
  ])('bare %s', (url, says) => expect(bare(url)).toBe(says))

  it('parts lines and words', () => {
    expect(lines(' a \r\n\n b c\n')).toEqual(['a', 'b c'])
    expect(words('  Flue  LINER ')).toEqual(['flue', 'liner'])
    expect(words(' ')).toEqual([])
  })
})
