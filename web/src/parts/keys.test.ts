import { effectScope } from 'vue'
import { describe, expect, it } from 'vitest'
import { commands, isControl, isField, keyName, shortcut, useCommands } from './keys'

const at = (tagName: string, role = '') => ({ tagName, getAttribute: () => role }) as unknown as HTMLElement
const body = at('BODY')
const field = at('INPUT')
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
    expect([isField(body), isField(at('BUTTON')), isField(null)]).toEqual([false, false, false])
  })
})

describe('a control', () => {
  it.each(['BUTTON', 'A', 'INPUT', 'SUMMARY'])('is %s', (tag) => expect(isControl(at(tag))).toBe(true))
  it('is what has such a role', () => expect(isControl(at('DIV', 'tab'))).toBe(true))
  it('is no row, and not the page', () => {
    expect([isControl(at('DIV', 'row')), isControl(body), isControl(null)]).toEqual([false, false, false])
  })
})

describe('shortcuts', () => {
  it('have the name of the key', () => expect(press('n', body)).toBe('n'))
  it('work on a row', () => expect(press('w', at('DIV', 'row'))).toBe('w'))
  it('are not single keys while a control has the focus', () => {
    expect(press('m', at('BUTTON'))).toBe('')
    expect(press('z', at('BUTTON'), { ctrlKey: true })).toBe('mod+z')
  })
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

describe('commands', () => {
  it('are known as long as their part is on the screen', () => {
    const scope = effectScope()
    scope.run(() => useCommands([{ key: 'm', says: 'Measure', run: () => {} }]))
    expect(commands.value.map((c) => c.says)).toEqual(['Measure'])
    scope.stop()
    expect(commands.value).toEqual([])
  })
  it('write their keys as people know them', () => {
    expect(['mod+k', ' ', 'w'].map(keyName)).toEqual(['Ctrl K', 'Space', 'w'])
  })
})
