import { describe, expect, it } from 'vitest'
import { pageName } from './pages'

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
