import { ref } from 'vue'
import type { Ground, Id, PageDraft, PageInfo } from '@/api/client'
import { usePages } from '@/api/pages'
import { useEdit } from '@/parts/edit'
import { plural } from '@/parts/format'
import { pageName } from '@/parts/pages'
import { useUndo } from '@/parts/undo'

const draftOf = (p: PageInfo): PageDraft => ({
  url: p.url,
  kind: p.kind as PageDraft['kind'],
  service: p.service,
  place: p.place,
})

/** Adds, changes, plans and removes pages; each can be undone. */
export function usePageEdits(client: Id, ground: () => Ground) {
  const { add, change, remove, restore } = usePages(client)
  const undo = useUndo()
  const { make, again } = useEdit()
  const addresses = ref('')

  async function addAll() {
    const added: PageInfo[] = []
    const before = [...ground().pages]
    const left = addresses.value.split(/\s+/).filter(Boolean)
    while (left.length) {
      const page = await add.mutateAsync({ url: left[0]! }).catch(() => null)
      if (!page) break
      added.push(page)
      left.shift()
    }
    addresses.value = left.join('\n') // what was not added stays as it was typed
    if (added.length)
      undo.offer(`${plural(added.length, 'page')} added`, async () => {
        for (const p of added) {
          const planned = before.find((b) => b.id === p.id)
          if (planned) await change.mutateAsync({ page: p.id, to: draftOf(planned), was: draftOf(p) })
          else await remove.mutateAsync(p.id)
        }
      })
  }

  async function plan(body: PageDraft) {
    const page = await add.mutateAsync(body).catch(() => null)
    if (page) undo.offer(`${pageName(page)} planned`, () => remove.mutateAsync(page.id))
    return page
  }

  /** The page at an address; one that is not the client's yet becomes so. */
  async function pageAt(url: string) {
    const had = ground().pages.find((p) => p.url === url)
    if (had) return had
    const page = await add.mutateAsync({ url }).catch(() => null)
    if (page) undo.offer(`${pageName(page)} added`, () => remove.mutateAsync(page.id))
    return page
  }

  async function put(p: PageInfo, draft: PageDraft) {
    let was = draftOf(p)
    const now = await make((told) => {
      if (told) was = draftOf(ground().pages.find((x) => x.id === p.id) ?? p)
      return change.mutateAsync({ page: p.id, to: { ...was, ...draft }, was })
    })
    if (now) undo.offer('Saved', () => change.mutateAsync({ page: p.id, to: was, was: draftOf(now) }))
  }

  async function drop(p: PageInfo) {
    const ok = await remove.mutateAsync(p.id).then(
      () => true,
      () => false,
    )
    if (ok) undo.offer(`${pageName(p)} removed`, () => restore.mutateAsync(p.id))
  }

  return { again, add, change, remove, addresses, addAll, pageAt, plan, put, drop }
}
