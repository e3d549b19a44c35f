import { useMutation } from '@tanstack/vue-query'
import { addTargetMutation, chooseMutation, removeTargetMutation } from '@/api/calls'
import type { Choice, OwnDraft, Plan } from '@/api/types'
import { useEdit } from '@/parts/edit'
import { useUndo } from '@/parts/undo'
import { says, type Line } from './list'

/** What can be done with the targets of a client; all of it can be undone. */
export function useTargetActions(client: () => number, plan: () => Plan | undefined) {
  const choose = useMutation(chooseMutation())
  const add = useMutation(addTargetMutation())
  const remove = useMutation(removeTargetMutation())
  const undo = useUndo()
  const { make, again } = useEdit()
  let last = ''
  const words = { kept: 'Kept', changed: 'Changed', dropped: 'Dropped', open: 'Open again' }

  /** Says something of a target or of a part of one; from is what was said when the typing began. */
  async function say(line: Line, choice: Choice, from?: Choice) {
    const of = line.part ?? line.target
    const { page } = line.target
    const told = again.value !== undefined && last === of.key
    last = of.key
    let was = { ...(told ? saidNow(line) : (from ?? of.choice)) }
    const ok = await make((told) => {
      if (told) was = { ...saidNow(line) }
      return choose.mutateAsync({
        path: { client: client() },
        body: { said: [{ page, key: of.key, ...choice, was }] },
      })
    })
    if (ok)
      undo.offer(`${words[choice.state]}: ${says(line)}`, () =>
        choose.mutateAsync({
          path: { client: client() },
          body: { said: [{ page, key: of.key, ...was, was: choice }] },
        }),
      )
    return ok !== null
  }

  /** What is said of a line by now. */
  function saidNow(line: Line): Choice {
    const target = plan()?.targets.find((t) => t.id === line.target.id)
    const part = line.part && target?.parts.find((p) => p.key === line.part!.key)
    return (line.part ? part : target)?.choice ?? { state: 'open' }
  }

  /** Keeps or drops a line, or takes that back. */
  const toggle = (line: Line, state: 'kept' | 'dropped') =>
    say(line, { state: (line.part ?? line.target).choice.state === state ? 'open' : state })

  /** Adds a target by hand. */
  async function addOwn(draft: OwnDraft) {
    const made = await add.mutateAsync({ path: { client: client() }, body: draft }).catch(() => null)
    if (made)
      undo.offer(`Added: ${draft.text}`, () =>
        remove.mutateAsync({ path: { client: client(), own: made.id } }),
      )
    return made !== null
  }

  /** Removes a target that was added by hand. */
  async function removeOwn(plan: Plan, line: Line) {
    const t = plan.targets.find((x) => x.id === line.target.id)
    if (!t?.own_id) return
    const draft = { id: t.own_id, page: t.page, text: t.before, gain: t.gain, minutes: t.minutes }
    const ok = await remove.mutateAsync({ path: { client: client(), own: t.own_id } }).then(
      () => true,
      () => false,
    )
    if (ok)
      undo.offer(`Removed: ${t.before}`, () => add.mutateAsync({ path: { client: client() }, body: draft }))
  }

  const failure = () => choose.error.value ?? add.error.value ?? remove.error.value
  return { again, say, toggle, addOwn, removeOwn, failure }
}
