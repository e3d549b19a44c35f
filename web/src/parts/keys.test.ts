import { describe, expect, it } from 'vitest'
import { isField, shortcut } from './keys'

const body = { tagName: 'BODY' } as HTMLElement
const field = { tagName: 'INPUT' } as HTMLElement
const press = (key: string, target: HTMLElement, held: Partial<KeyboardEvent> = {}) =>
  shortcut({ key, target, ctrlKey: false, metaKey: false, altKey: false, ...held })

describe('what is typed in a field', () => {
  it.each(['INPUT', 'TEXTAREA', 'SELECT'])('is no shortcut in %s', (tagName) => {
    expect(isField({ tagName })).toBe(true)
  })
  it('is none in text that can be edited', () => {
    expect(isField({ tagName: 'DIV', isContentEditable: true })).toBe(true)
  })
  it('is one elsewhere', () => {
    expect([isField(body), isField({ tagName: 'BUTTON' }), isField(null)]).toEqual([false, false, false])
  })
})

describe('shortcuts', () => {
  it('have the name of the key', () => expect(press('n', body)).toBe('n'))
  it('take Ctrl and Command alike', () => {
    expect(press('Z', body, { ctrlKey: true })).toBe('mod+z')
    expect(press('z', body, { metaKey: true })).toBe('mod+z')
  })
  it('leave what is typed in fields alone', () => {
    expect(press('n', field)).toBe('')
    expect(press('z', field, { ctrlKey: true })).toBe('')
  })
  it('find and leave from within a field', () => {
    expect(press('k', field, { ctrlKey: true })).toBe('mod+k')
    expect(press('Escape', field)).toBe('Escape')
  })
  it('leave Alt to the browser', () => expect(press('1', body, { altKey: true })).toBe(''))
})
