import { describe, expect, it } from 'vitest'
import { namesApart, pageName } from './pages'

describe('what a page is called', () => {
  it.each([
    [{ kind: 'home' as const, service: '', place: '', url: 'http://brindle.example/' }, 'Home'],
    [{ kind: 'service' as const, service: 'flue liners', place: '' }, 'Flue liners'],
    [{ kind: 'area' as const, service: 'flue liners', place: 'Ostrey' }, 'Flue liners, Ostrey'],
    [
      { kind: 'other' as const, service: '', place: '', url: 'http://brindle.example/a/our-work_2.html?x' },
      'Our work 2',
    ],
    [{ kind: 'gallery' as const, service: '', place: '', url: 'http://brindle.example/' }, 'Gallery'],
    [{ kind: 'about' as const, service: '', place: '', url: '' }, 'About'],
  ])('%#', (page, says) => expect(pageName(page)).toBe(says))
})

describe('names of pages beside one another', () => {
  it('say the path where they would say the same', () => {
    const page = (url: string, service = 'pest control') => ({
      kind: 'service' as const,
      service,
      place: '',
      url,
    })
    const names = namesApart([
      { key: 'p1', page: page('http://marlow.example/pests.html') },
      { key: 'p2', page: page('http://marlow.example/pests/old/') },
      { key: 'p3', page: page('http://marlow.example/ants/', 'ant control') },
      { key: 'new', page: page('') },
    ])
    expect([...names.values()]).toEqual([
      'Pest control (/pests.html)',
      'Pest control (/pests/old/)',
      'Ant control',
      'Pest control (new)',
    ])
  })
})
