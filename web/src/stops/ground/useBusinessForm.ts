import { useMutation } from '@tanstack/vue-query'
import { saveGroundMutation } from '@/api/calls'
import type { Ground } from '@/api/types'
import { computed, ref } from 'vue'
import { changedElsewhere } from '@/parts/edit'
import { useTyped } from '@/parts/typed'
import { useUndo } from '@/parts/undo'
import { fieldNames, toBusiness, toForm, type Form } from './business'

/**
 * A business as a form that is saved as its fields are left. Saves go one after
 * another, and what comes back is shown but in fields where something else was
 * typed meanwhile: nothing typed is lost, however slow the answer.
 */
export function useBusinessForm(client: () => number, ground: () => Ground) {
  const saveGround = useMutation(saveGroundMutation())
  const undo = useUndo()
  const typed = useTyped<Form>(() => toForm(ground()))
  const form = computed({
    get: () => typed.form.value!,
    set: (to) => (typed.form.value = to),
  })
  /** What was refused for a change elsewhere: it is saved again when its user says so, or types on. */
  const refused = ref('')
  let last: Promise<unknown> = Promise.resolve()

  async function saveNow(again: boolean) {
    const written = JSON.stringify(form.value)
    if (!again && refused.value === written) return
    const sent: Form = JSON.parse(written)
    const before = toBusiness(typed.was()!)
    const now = toBusiness(sent)
    if (JSON.stringify(now) === JSON.stringify(before)) return
    const fields = typed.typed().map((key) => fieldNames[key])
    refused.value = ''
    const answer = await saveGround
      .mutateAsync({ path: { client: client() }, body: { ...now, was: before } })
      .catch((failure) => {
        if (!changedElsewhere(failure)) return
        typed.tell()
        refused.value = written
      })
    if (!answer) return // what was typed stays
    typed.saved(sent, toForm(answer))
    undo.offer(`Saved: ${fields.join(', ')}`, () =>
      inTurn(() =>
        saveGround.mutateAsync({
          path: { client: client() },
          body: { ...before, was: toBusiness(toForm(answer)) },
        }),
      ),
    )
  }

  function inTurn<T>(work: () => Promise<T>) {
    const next = last.then(work)
    last = next.catch(() => undefined)
    return next
  }

  return {
    form,
    save: () => inTurn(() => saveNow(false)),
    again: computed(() => (refused.value ? () => inTurn(() => saveNow(true)) : undefined)),
    error: computed(() => saveGround.error.value),
  }
}
