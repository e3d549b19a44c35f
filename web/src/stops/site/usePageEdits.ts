import { useMutation } from '@tanstack/vue-query'
import { addPageMutation, removePageMutation, restorePageMutation, updatePageMutation } from '@/api/calls'
import type { Ground, Id, PageDraft, PageInfo } from '@/api/types'
import { ref } from 'vue'
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
  const add = useMutation(addPageMutation())
  const change = useMutation(updatePageMutation())
  const remove = useMutation(removePageMutation())
  const restore = useMutation(restorePageMutation())
  const undo = useUndo()
  const { make, again } = useEdit()
  const addresses = ref('')

  async function addAll() {
    const added: PageInfo[] = []
    const before = [...ground().pages]
    const left = addresses.value.split(/\s+/).filter(Boolean)
    while (left.length) {
      const page = await add
        .mutateAsync({ path: { client: client() }, body: { url: left[0]! } })
        .catch(() => null)
      if (!page) break
      added.push(page)
      left.shift()
    }
    addresses.value = left.join('\n') // what was not added stays as it was typed
    if (added.length)
      undo.offer(`${plural(added.length, 'page')} added`, async () => {
        for (const p of added) {
          const planned = before.find((b) => b.id === p.id)
          if (planned)
            await change.mutateAsync({
              path: { client: client(), page: p.id },
              body: { ...draftOf(planned), was: draftOf(p) },
            })
          else await remove.mutateAsync({ path: { client: client(), page: p.id } })
        }
      })
  }

  async function plan(body: PageDraft) {
    const page = await add.mutateAsync({ path: { client: client() }, body }).catch(() => null)
    if (page)
      undo.offer(`${pageName(page)} planned`, () =>
        remove.mutateAsync({ path: { client: client(), page: page.id } }),
      )
    return page
  }

  /** The page at an address; one that is not the client's yet becomes so. */
  async function pageAt(url: string) {
    const had = ground().pages.find((p) => p.url === url)
    if (had) return had
    const page = await add.mutateAsync({ path: { client: client() }, body: { url } }).catch(() => null)
    if (page)
      undo.offer(`${pageName(page)} added`, () =>
        remove.mutateAsync({ path: { client: client(), page: page.id } }),
      )
    return page
  }

  async function put(p: PageInfo, draft: PageDraft) {
    let was = draftOf(p)
    const now = await make((told) => {
      if (told) was = draftOf(ground().pages.find((x) => x.id === p.id) ?? p)
      return change.mutateAsync({
        path: { client: client(), page: p.id },
        body: { ...{ ...was, ...draft }, was },
      })
    })
    if (now)
      undo.offer('Saved', () =>
        change.mutateAsync({ path: { client: client(), page: p.id }, body: { ...was, was: draftOf(now) } }),
      )
  }

  async function drop(p: PageInfo) {
    const ok = await remove.mutateAsync({ path: { client: client(), page: p.id } }).then(
      () => true,
      () => false,
    )
    if (ok)
      undo.offer(`${pageName(p)} removed`, () =>
        restore.mutateAsync({ path: { client: client(), page: p.id } }),
      )
  }

  return { again, add, change, remove, addresses, addAll, pageAt, plan, put, drop }
}
