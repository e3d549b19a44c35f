import { nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { useTyped } from './typed'

const fields = (trade: string, phone: string) => ({ trade, phone })

describe('fields that are typed in', () => {
  it('follow what comes, but where something was typed', async () => {
    const now = ref(fields('sweeping', '1'))
    const { form, was, typed } = useTyped(() => now.value)
    form.value!.trade = 'hearths'
    now.value = fields('chimneys', '2')
    await nextTick()
    expect(form.value).toEqual(fields('hearths', '2'))
    expect(was()).toEqual(fields('sweeping', '2'))
    expect(typed()).toEqual(['trade'])
  })

  it('are typed over what is there by now, once their user was told', async () => {
    const now = ref(fields('sweeping', '1'))
    const { form, was, tell } = useTyped(() => now.value)
    form.value!.trade = 'hearths'
    now.value = fields('chimneys', '1')
    await nextTick()
    tell()
    expect(was()).toEqual(fields('chimneys', '1'))
    now.value = fields('chimneys', '2')
    await nextTick()
    expect(was()).toEqual(fields('chimneys', '2'))
    expect(form.value).toEqual(fields('hearths', '2'))
  })

  it('keep what is typed while they are saved', async () => {
    const now = ref(fields('sweeping', '1'))
    const { form, was, typed, saved } = useTyped(() => now.value)
    form.value!.trade = ' hearths '
    const sent = { ...form.value! }
    form.value!.phone = '22'
    now.value = fields('hearths', '1')
    await nextTick()
    saved(sent, fields('hearths', '1'))
    expect(form.value).toEqual(fields('hearths', '22'))
    expect(was()).toEqual(fields('hearths', '1'))
    expect(typed()).toEqual(['phone'])
  })

  it('come late', async () => {
    const now = ref<ReturnType<typeof fields>>()
    const { form, typed } = useTyped(() => now.value)
    expect(form.value).toBeUndefined()
    expect(typed()).toEqual([])
    now.value = fields('sweeping', '1')
    await nextTick()
    expect(form.value).toEqual(fields('sweeping', '1'))
    expect(form.value).not.toBe(now.value)
  })
})
