// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import ActionButton from './ActionButton.vue'
import ChoiceBox from './ChoiceBox.vue'
import DataTable from './DataTable.vue'
import EmptyState from './EmptyState.vue'
import FieldLine from './FieldLine.vue'
import FieldRows from './FieldRows.vue'
import NoticeLine from './NoticeLine.vue'
import SideMargin from './SideMargin.vue'
import TabRow from './TabRow.vue'

afterEach(() => void (document.body.innerHTML = ''))
const settled = async () => {
  await nextTick()
  await nextTick()
}

describe('an action', () => {
  it('is a button that does not send a form by accident', async () => {
    const done = vi.fn()
    const button = mount(ActionButton, { slots: { default: 'Save' }, attrs: { onClick: done } })
    expect(button.attributes('type')).toBe('button')
    await button.trigger('click')
    expect(done).toHaveBeenCalledOnce()
  })
  it('does nothing while it cannot be done', async () => {
    const done = vi.fn()
    const button = mount(ActionButton, { attrs: { onClick: done, disabled: true } })
    await button.trigger('click')
    expect(done).not.toHaveBeenCalled()
  })
  it('is a link where it gives a file, and shows its key', () => {
    const link = mount(ActionButton, { props: { href: '/x.csv', shortcut: 's' }, slots: { default: 'Save' } })
    expect(link.element.tagName).toBe('A')
    expect(link.attributes('type')).toBeUndefined()
    expect(link.find('.kbd').text()).toBe('s')
  })
})

describe('tabs', () => {
  const tabs = [
    { key: 'work', says: 'Order of work' },
    { key: 'front', says: 'By kind of work', count: '3' },
    { key: 'page', says: 'By page' },
  ]
  const row = () => mount(TabRow, { props: { tabs, at: 'front', label: 'Order' }, attachTo: document.body })

  it('tell which one is shown, and how much there is of it', () => {
    const [first, second] = row().findAll('button')
    expect(first!.attributes('aria-pressed')).toBe('false')
    expect(second!.attributes('aria-pressed')).toBe('true')
    expect(second!.text()).toBe('By kind of work 3')
  })
  it('are chosen by press, and walked by arrows around the end', async () => {
    const shown = row()
    const [first, , last] = shown.findAll('button')
    await last!.trigger('click')
    expect(shown.emitted('choose')).toEqual([['page']])
    last!.element.focus()
    await last!.trigger('keydown', { key: 'ArrowRight' })
    expect(document.activeElement).toBe(first!.element)
    await first!.trigger('keydown', { key: 'ArrowLeft' })
    expect(document.activeElement).toBe(last!.element)
  })
})

describe('a choice', () => {
  const options = [
    { value: 3, says: 'three' },
    { value: 7, says: 'seven' },
  ]
  it('gives the value, not its name or its text', async () => {
    const box = mount(ChoiceBox, { props: { modelValue: 3, label: 'How many', options } })
    const select = box.element as HTMLSelectElement
    select.selectedIndex = 1
    await box.trigger('change')
    expect(box.emitted('update:modelValue')).toEqual([[7]])
    expect(box.attributes('aria-label')).toBe('How many')
  })
  it('asks until something is chosen', async () => {
    const box = mount(ChoiceBox, { props: { modelValue: 0, label: 'Town', options, asks: 'which town?' } })
    const select = box.element as HTMLSelectElement
    expect(select.options[0]!.text).toBe('which town?')
    expect(select.options[0]!.disabled).toBe(true)
    select.selectedIndex = 1
    await box.trigger('change')
    expect(box.emitted('update:modelValue')).toEqual([[3]])
  })
})

describe('a field', () => {
  it('has what it is called as its label, and hands on the rest', async () => {
    const field = mount(FieldLine, {
      props: { modelValue: 'chimney care', label: 'Trade' },
      attrs: { name: 'trade', placeholder: 'e.g. wells' },
    })
    expect(field.element.tagName).toBe('LABEL')
    expect(field.attributes('name')).toBeUndefined()
    const input = field.find('input')
    expect(input.attributes('name')).toBe('trade')
    await input.setValue('wells and pumps')
    expect(field.emitted('update:modelValue')).toEqual([['wells and pumps']])
  })
})

describe('rows of fields', () => {
  interface Town {
    name: string
    state: string
  }
  function list(towns: Town[]) {
    const rows = ref(towns)
    const shown = mount(
      defineComponent(
        () => () =>
          h(FieldRows<Town>, {
            modelValue: rows.value,
            'onUpdate:modelValue': (to: Town[]) => (rows.value = to),
            label: 'Towns',
            first: 'home town',
            empty: () => ({ name: '', state: '' }),
            read: (line: string) => ({ name: line.split(',')[0]!.trim(), state: line.split(',')[1] ?? '' }),
            columns: [
              { of: 'name', title: 'town', name: 'town', label: (n) => `Town ${n}`, example: 'e.g. Dunmere' },
              {
                of: 'state',
                title: 'state',
                name: 'state',
                label: (n) => `State ${n}`,
                fault: (typed) => (typed.length > 2 ? `“${typed}” is no state.` : ''),
              },
            ],
          }),
      ),
    )
    return { rows, shown }
  }

  it('end with an empty one, and show an example in the first alone', async () => {
    const { rows, shown } = list([])
    await settled()
    expect(rows.value).toEqual([{ name: '', state: '' }])
    expect(shown.find('[name=town]').attributes('placeholder')).toBe('e.g. Dunmere')
    await shown.find('[name=town]').setValue('Ostrey')
    await settled()
    expect(rows.value.length).toBe(2)
    expect(shown.findAll('[name=town]')[1]!.attributes('placeholder')).toBe('')
  })
  it('take a pasted list', async () => {
    const { rows, shown } = list([])
    await settled()
    const paste = new Event('paste', { bubbles: true, cancelable: true })
    Object.assign(paste, { clipboardData: { getData: () => 'Ostrey, ME\nQuillby, ME' } })
    shown.find('[name=town]').element.dispatchEvent(paste)
    await settled()
    expect(rows.value.map((r) => r.name)).toEqual(['Ostrey', 'Quillby', ''])
    expect(paste.defaultPrevented).toBe(true)
  })
  it('put another one first, and say what is not taken where it was typed', async () => {
    const { rows, shown } = list([
      { name: 'Ostrey', state: 'ME' },
      { name: 'Quillby', state: 'Maine, I think' },
    ])
    await settled()
    expect(shown.find('[role=alert]').text()).toBe('“Maine, I think” is no state.')
    expect(shown.findAll('[name=state]')[1]!.attributes('aria-invalid')).toBe('true')
    await shown.find('[aria-label="Make Quillby the home town"]').trigger('click')
    expect(rows.value[0]!.name).toBe('Quillby')
  })
})

describe('a table', () => {
  const columns = [
    { key: 'page', title: 'page', width: 'w24' },
    { key: 'words', title: 'words', num: true, hint: 'Words seen' },
    { key: 'change', unseen: 'Change' },
  ]
  it('has its columns as data, with heads that a slot can replace', () => {
    const table = mount(DataTable, {
      props: { columns },
      slots: { words: '<b>words seen</b>', default: '<tbody><tr><th scope="row">Home</th></tr></tbody>' },
    })
    const heads = table.findAll('thead th')
    expect(heads.map((t) => t.text())).toEqual(['page', 'words seen', 'Change'])
    expect(heads.every((t) => t.attributes('scope') === 'col')).toBe(true)
    expect(heads[1]!.attributes('title')).toBe('Words seen')
    expect(table.find('col').attributes('style')).toContain('--wide: var(--w24)')
    expect(table.findAll('tbody tr').length).toBe(1)
  })
})

describe('a margin', () => {
  it('takes the focus, keeps what is under its title, and gives the focus back', async () => {
    const open = ref(false)
    mount(
      defineComponent(
        () => () =>
          h('main', { tabindex: -1 }, [
            h('button', { id: 'opens' }),
            open.value &&
              h(
                SideMargin,
                { title: 'A very long title '.repeat(9), label: 'Why', onClose: () => (open.value = false) },
                {
                  head: () => h('p', { id: 'head' }),
                  default: () => 'text',
                  foot: () => 'Gains are estimates.',
                },
              ),
          ]),
      ),
      { attachTo: document.body },
    )
    const opens = document.getElementById('opens')!
    opens.focus()
    open.value = true
    await settled()
    expect(document.activeElement?.tagName).toBe('H2')
    expect(document.querySelector('aside')?.getAttribute('aria-label')).toBe('Why')
    expect(document.querySelector('header #head')).not.toBeNull()
    document.querySelector<HTMLElement>('[aria-label=Close]')!.click()
    await settled()
    expect(document.querySelector('aside')).toBeNull()
    expect(document.activeElement).toBe(opens)
  })
})

describe('what is told', () => {
  it('is a fault where there is one, with the way out', () => {
    const fault = {
      code: 'hours_out_of_range' as const,
      detail: 'Enter 0 to 1,000 hours.',
      status: 422,
      title: '',
    }
    const told = mount(NoticeLine, { props: { fault }, slots: { default: '<button>Try again</button>' } })
    expect(told.attributes('role')).toBe('alert')
    expect(told.text()).toContain('Enter 0 to 1,000 hours.')
    expect(told.find('button').exists()).toBe(true)
    expect(mount(NoticeLine, { props: { fault: null } }).text()).toBe('')
  })
  it('is what will be here, and the one next thing to do', () => {
    const empty = mount(EmptyState, { props: { says: 'Your clients will be listed here.' } })
    expect(empty.text()).toBe('Your clients will be listed here.')
    expect(empty.findAll('p').length).toBe(1)
  })
})
