import type { Choice, Plan } from '@/api/client'
import { usePlanChanges, type OwnDraft } from '@/api/plan'
import { useUndo } from '@/parts/undo'
import { says, type Line } from './list'

/** What can be done with the targets of a client; all of it can be undone. */
export function useTargetActions(client: () => number) {
  const { choose, add, remove } = usePlanChanges(client)
  const undo = useUndo()
  const words = { kept: 'Kept', changed: 'Changed', dropped: 'Dropped', open: 'Open again' }

  /** Says something of a target or of a part of one. */
  async function say(line: Line, choice: Choice) {
    const of = line.part ?? line.target
    const was = { ...of.choice }
    const { page } = line.target
    const ok = await choose.mutateAsync([{ page, key: of.key, ...choice }]).catch(() => null)
    if (ok)
      undo.offer(`${words[choice.state]}: ${says(line)}`, () =>
        choose.mutateAsync([{ page, key: of.key, ...was }]),
      )
    return ok !== null
  }

  /** Keeps or drops a line, or takes that back. */
  const toggle = (line: Line, state: 'kept' | 'dropped') =>
    say(line, { state: (line.part ?? line.target).choice.state === state ? 'open' : state })

  /** Adds a target by hand. */
  async function addOwn(draft: OwnDraft) {
    const made = await add.mutateAsync(draft).catch(() => null)
    if (made) undo.offer(`Added: ${draft.text}`, () => remove.mutateAsync(made.id))
    return made !== null
  }

  /** Removes a target that was added by hand. */
  async function removeOwn(plan: Plan, line: Line) {
    const t = plan.targets.find((x) => x.id === line.target.id)
    if (!t?.own_id) return
    const draft = { id: t.own_id, page: t.page, text: t.before, gain: t.gain, minutes: t.minutes }
    const ok = await remove.mutateAsync(t.own_id).then(
      () => true,
      () => false,
    )
    if (ok) undo.offer(`Removed: ${t.before}`, () => add.mutateAsync(draft))
  }

  const failure = () => choose.error.value ?? add.error.value ?? remove.error.value
  return { say, toggle, addOwn, removeOwn, failure }
}
