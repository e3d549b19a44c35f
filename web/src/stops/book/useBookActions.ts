import { useMutation } from '@tanstack/vue-query'
import {
  askDemandMutation,
  chooseFamiliesMutation,
  placePhrasesMutation,
  saveGroundMutation,
  undoImportMutation,
} from '@/api/calls'
import type { BookPhrase, BookRow, FamilyChoice, Ground, Id } from '@/api/types'
import { computed, ref } from 'vue'
import { plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import { toBusiness, toForm } from '../ground/business'
import { byChoice, byPlace } from './family'

/** What can be done with the families of a book; each change can be undone as one. */
export function useBookActions(client: Id, ground: () => Ground, families: () => BookRow[]) {
  const choose = useMutation(chooseFamiliesMutation())
  const place = useMutation(placePhrasesMutation())
  const ask = useMutation(askDemandMutation())
  const undoImport = useMutation(undoImportMutation())
  const saveGround = useMutation(saveGroundMutation())
  const undo = useUndo()

  const picked = ref(new Set<string>())
  const reason = ref('')
  const chosen = () => families().filter((f) => picked.value.has(f.key))
  const clear = () => (picked.value = new Set())

  function pick(keys: string[], on: boolean) {
    const next = new Set(picked.value)
    for (const key of keys)
      if (on) next.add(key)
      else next.delete(key)
    picked.value = next
  }

  /** A row with the families that are folded under it: they ask for the same. */
  const withAlso = (keys: string[]) => {
    const also = new Map(families().map((f) => [f.key, f.also]))
    return [...new Set(keys.flatMap((key) => [key, ...(also.get(key) ?? [])]))]
  }

  /** Keeps or dismisses families, or leaves them to the rule again. */
  async function say(rows: string[], state: FamilyChoice['state'], why = '') {
    const keys = withAlso(rows)
    const before = byChoice(keys, families())
    const ok = await choose
      .mutateAsync({ path: { client: client() }, body: { keys, state, reason: why, lead: '' } })
      .catch(() => null)
    if (!ok) return
    clear()
    reason.value = ''
    const done = { kept: 'kept', aside: 'dismissed', '': 'left to the rule' }[state]
    undo.offer(`${plural(keys.length, 'family', 'families')} ${done}`, async () => {
      for (const group of before)
        await choose.mutateAsync({ path: { client: client() }, body: { ...group, lead: '' } })
    })
  }

  /** Makes another member the lead of its family. */
  async function lead(key: string, text: string) {
    const had = families().find((f) => f.key === key)
    if (!had) return
    const choice = { keys: [key], state: had.choice.state, reason: had.choice.reason }
    const before = had.choice.lead || had.members[0]!.text
    const ok = await choose
      .mutateAsync({ path: { client: client() }, body: { ...choice, lead: text } })
      .catch(() => null)
    if (ok)
      undo.offer(`“${text}” is the lead`, () =>
        choose.mutateAsync({ path: { client: client() }, body: { ...choice, lead: before } }),
      )
  }

  /** Puts phrases in another family; undone by putting each where it was. */
  async function put(phrases: BookPhrase[], where: string, says: string) {
    const ok = await place
      .mutateAsync({ path: { client: client() }, body: { phrases: phrases.map((p) => p.text), with: where } })
      .catch(() => null)
    if (!ok) return
    clear()
    undo.offer(says, async () => {
      for (const group of byPlace(phrases))
        await place.mutateAsync({ path: { client: client() }, body: group })
    })
  }

  /** Makes one family of those selected: the others join the first, which gains most. */
  async function merge() {
    const [first, ...others] = chosen()
    if (!first) return
    const phrases = others.flatMap((f) => f.members)
    await put(phrases, first.members[0]!.text, `${plural(others.length + 1, 'family', 'families')} merged`)
  }

  /** Ties the phrases of the selected families to the home page. */
  async function writeFor() {
    const before = toBusiness(toForm(ground()))
    const list = chosen()
    const phrases = [...new Set([...before.phrases, ...list.flatMap((f) => f.members.map((m) => m.text))])]
    const now = { ...before, phrases }
    const ok = await saveGround
      .mutateAsync({ path: { client: client() }, body: { ...now, was: before } })
      .catch(() => null)
    if (!ok) return
    clear()
    undo.offer(`${plural(list.length, 'family', 'families')} used on the home page`, () =>
      saveGround.mutateAsync({ path: { client: client() }, body: { ...before, was: now } }),
    )
  }

  async function askDemand() {
    const report = await ask.mutateAsync({ path: { client: client() } }).catch(() => null)
    if (report?.import_id)
      undo.offer(`Search volumes of ${plural(report.added + report.joined, 'phrase')} added`, () =>
        undoImport.mutateAsync({ path: { client: client(), import: report.import_id } }),
      )
  }

  const mistakes = computed(() =>
    [saveGround, ask, choose, place].flatMap((m) => (m.error.value ? [m.error.value.detail] : [])),
  )
  const asking = computed(() => ask.isPending.value)
  return { picked, pick, reason, say, lead, put, merge, writeFor, askDemand, asking, mistakes }
}
