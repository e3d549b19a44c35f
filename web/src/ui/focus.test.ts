// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { defineComponent, h, nextTick, ref, type Ref } from 'vue'
import { afterEach, describe, expect, it } from 'vitest'
import { useFocusInto } from './focus'

const Margin = defineComponent({
  props: { shows: { type: String, default: '' } },
  setup(props) {
    const root = ref<HTMLElement>()
    useFocusInto(root, () => props.shows)
    return () => h('aside', { ref: root }, [h('h2', { tabindex: -1 }, 'Why'), h('button', { id: 'within' })])
  },
})

function page(open: Ref<boolean>, shows: Ref<string>) {
  const Page = defineComponent(
    () => () =>
      h('main', { tabindex: -1 }, [
        h('button', { id: 'one' }),
        h('button', { id: 'two' }),
        open.value ? h(Margin, { shows: shows.value }) : null,
      ]),
  )
  mount(Page, { attachTo: document.body })
}
const focus = (id: string) => document.getElementById(id)!.focus()
const at = () => document.activeElement!.id || document.activeElement!.tagName
const settled = async () => {
  await nextTick()
  await nextTick()
}
afterEach(() => void (document.body.innerHTML = ''))

describe('what opens', () => {
  it('takes the focus, and gives it back to what opened it', async () => {
    const open = ref(false)
    page(open, ref(''))
    focus('one')
    open.value = true
    await settled()
    expect(at()).toBe('H2')
    open.value = false
    await settled()
    expect(at()).toBe('one')
  })

  it('takes it again for something else that was asked for, and gives it back to that', async () => {
    const [open, shows] = [ref(false), ref('words')]
    page(open, shows)
    focus('one')
    open.value = true
    await settled()
    focus('two')
    shows.value = 'phrases'
    await settled()
    expect(at()).toBe('H2')
    open.value = false
    await settled()
    expect(at()).toBe('two')
  })

  it('leaves it where it is for what was asked for within', async () => {
    const [open, shows] = [ref(false), ref('words')]
    page(open, shows)
    focus('one')
    open.value = true
    await settled()
    focus('within')
    shows.value = 'another phrase'
    await settled()
    expect(at()).toBe('within')
  })

  it('gives it to the page where nothing opened it', async () => {
    const open = ref(true)
    page(open, ref(''))
    await settled()
    expect(at()).toBe('H2')
    open.value = false
    await settled()
    expect(at()).toBe('MAIN')
  })
})
