import { describe, expect, it } from 'vitest'
import { fileOfPaste } from './results'

const paste = (of: Record<string, string>) => fileOfPaste({ getData: (type: string) => of[type] ?? '' })

describe('a pasted page of results', () => {
  it('is its HTML where that has links', () => {
    expect(paste({ 'text/html': '<p><a href="http://a.example/">A</a>', 'text/plain': 'A' })?.name).toBe(
      'pasted results.html',
    )
  })
  it('is its text where the HTML tells no address', () => {
    expect(paste({ 'text/html': '<b>A</b>', 'text/plain': 'A' })?.name).toBe('pasted results.txt')
  })
  it('is nothing where nothing was copied', () => expect(paste({ 'text/plain': ' \n' })).toBeUndefined())
})
