// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { defineComponent, h, nextTick, ref } from 'vue'
import { afterEach, describe, expect, it } from 'vitest'
import { useRows } from './rows'

const pressed: string[] = []
const list = ref<string[]>([])

/** Rows with a button and a field each. */
const Rows = defineComponent({
  setup() {
    const root = ref<HTMLElement>()
    const rows = useRows(
      root,
      () => list.value,
      (key, row) => key === ' ' && pressed.push(`${row} ${key}`) > 0,
    )
    return () =>
      h(
        'div',
        { ref: root, onKeydown: rows.onKeydown, onFocusin: rows.onFocusin, onFocusout: rows.onFocusout },
        list.value.map((key) =>
          h('div', { key, 'data-row': key, tabindex: -1 }, [h('button', key), h('input', { name: key })]),
        ),
      )
  },
})

const show = (keys: string[]) => {
  list.value = keys
  pressed.length = 0
  return mount(Rows, { attachTo: document.body })
}
const at = () => (document.activeElement as HTMLElement).dataset.row
const press = (key: string) =>
  document.activeElement!.dispatchEvent(
    new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
  )
const focus = (css: string) => document.querySelector<HTMLElement>(css)!.focus()

afterEach(() => void (document.body.innerHTML = ''))

describe('rows', () => {
  it('are walked by arrows, Home and End, and stay within their list', () => {
    show(['a', 'b', 'c'])
    focus('[data-row=a]')
    const walked = ['ArrowDown', 'End', 'ArrowDown', 'ArrowUp', 'Home', 'ArrowUp'].map((key) => {
      press(key)
      return at()
    })
    expect(walked).toEqual(['b', 'c', 'c', 'b', 'a', 'a'])
  })

  it('take keys of their own on the row alone', () => {
    show(['a', 'b'])
    focus('[data-row=b]')
    press(' ')
    press('x')
    focus('[data-row=b] button')
    press(' ')
    expect(pressed).toEqual(['b  '])
  })

  it('leave a field its arrows, and take them from a button', () => {
    show(['a', 'b'])
    focus('[name=a]')
    press('ArrowDown')
    expect((document.activeElement as HTMLInputElement).name).toBe('a')
    focus('[data-row=a] button')
    press('ArrowDown')
    expect(at()).toBe('b')
  })

  it('give the focus to the row in the place of one that goes', async () => {
    show(['a', 'b', 'c'])
    focus('[data-row=b]')
    list.value = ['a', 'c']
    await nextTick()
    await nextTick()
    expect(at()).toBe('c')
    list.value = ['a']
    await nextTick()
    await nextTick()
    expect(at()).toBe('a')
  })

  it('take no focus that is elsewhere', async () => {
    show(['a', 'b'])
    focus('[data-row=b]')
    ;(document.activeElement as HTMLElement).blur()
    list.value = ['a']
    await nextTick()
    await nextTick()
    expect(at()).toBeUndefined()
  })
})
