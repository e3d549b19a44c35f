import { computed, ref, watch } from 'vue'
import type { Business, Ground } from '@/api/client'
import { useChanges } from '@/api/changes'
import { useUndo } from '@/parts/undo'
import { toBusiness, toForm, type Form } from './business'

/**
 * A business as a form that is saved as its fields are left. Saves go one after
 * another, and what comes back is shown but in fields where something else was
 * typed meanwhile: nothing typed is lost, however slow the answer.
 */
export function useBusinessForm(client: () => number, ground: () => Ground) {
  const { saveGround } = useChanges(client)
  const undo = useUndo()
  const form = ref<Form>(toForm(ground()))
  let saved = toForm(ground())
  let last: Promise<unknown> = Promise.resolve()

  function show(business: Business) {
    const now = toForm(business)
    const shown = { ...now }
    for (const key of keys)
      if (!same(form.value[key], saved[key])) Object.assign(shown, { [key]: form.value[key] })
    saved = toForm(business)
    form.value = shown
  }
  watch(ground, show)

  async function saveNow() {
    const sent: Form = JSON.parse(JSON.stringify(form.value))
    const before = toBusiness(saved)
    if (same(toBusiness(sent), before)) return
    const fields = keys.filter((key) => !same(sent[key], saved[key])).map((key) => fieldNames[key])
    const answer = await saveGround.mutateAsync({ ...toBusiness(sent), was: before }).catch(() => null)
    if (!answer) return // what was typed stays
    saved = sent
    show(answer)
    undo.offer(`Saved: ${fields.join(', ')}`, () =>
      inTurn(async () => show(await saveGround.mutateAsync(before))),
    )
  }

  function inTurn<T>(work: () => Promise<T>) {
    const next = last.then(work)
    last = next.catch(() => undefined)
    return next
  }

  return { form, save: () => inTurn(saveNow), error: computed(() => saveGround.error.value) }
}

const fieldNames: Record<keyof Form, string> = {
  name: 'name',
  trade: 'trade',
  phone: 'phone',
  homePage: 'home page',
  language: 'language',
  customers: 'customers per 100 visits',
  money: 'currency',
  postcode: 'postcode',
  services: 'services',
  places: 'places',
  phrases: 'phrases',
}
const keys = Object.keys(fieldNames) as (keyof Form)[]

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)
