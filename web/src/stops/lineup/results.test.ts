import { describe, expect, it } from 'vitest'
import { filesOfPaste } from './results'

const paste = (of: Record<string, string>) =>
  filesOfPaste({ getData: (type: string) => of[type] ?? '' }).map((f) => f.name)

describe('a pasted page of results', () => {
  it('is its HTML where that has links, and its text', () => {
    expect(paste({ 'text/html': '<p><a href="http://a.example/">A</a>', 'text/plain': 'A' })).toEqual([
      'pasted results.html',
      'pasted results.txt',
    ])
  })
  it('is its text where the HTML tells no address', () => {
    expect(paste({ 'text/html': '<b>A</b>', 'text/plain': 'A' })).toEqual(['pasted results.txt'])
  })
  it('is nothing where nothing was copied', () => expect(paste({ 'text/plain': ' \n' })).toEqual([]))
})
