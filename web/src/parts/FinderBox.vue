<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { bookOptions, groundOptions, namesOptions } from '@/api/calls'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter, type RouteLocationRaw } from 'vue-router'
import DialogBox from '@/ui/DialogBox.vue'
import { words } from './format'
import { keyName, nearest } from './keys'
import { pageName } from './pages'
import { pageKey, pageLocation, stopLocation } from './stops'

/** Finds clients, pages, phrases and what can be done here, by their words. */
const open = defineModel<boolean>({ required: true })
const route = useRoute()
const router = useRouter()
const { data: names } = useQuery(namesOptions())
const client = computed(() => Number(route.params.client) || 0)
const { data: ground } = useQuery(() => ({
  ...groundOptions({ path: { client: client.value } }),
  enabled: open.value && client.value > 0,
}))
const typed = ref('')
const at = ref(0)
const { data: book } = useQuery(() => ({
  ...bookOptions({ path: { client: client.value } }),
  enabled: open.value && client.value > 0 && typed.value.length > 1,
  shallow: true,
}))

interface Found {
  id: string
  says: string
  key?: string
  go: () => unknown
}
const most = 6
const to = (where: RouteLocationRaw) => () => router.push(where)

const all = computed<{ title: string; list: () => Found[] }[]>(() => [
  {
    title: 'Here',
    list: () =>
      nearest.value
        .filter((c) => !c.ofRow && c.key !== 'mod+k' && c.key !== 'Escape')
        .map((c, i) => ({ id: `c${i}`, says: c.says, key: c.key && keyName(c.key), go: c.run })),
  },
  {
    title: 'Pages',
    list: () =>
      (ground.value?.pages ?? []).map((p) => ({
        id: `p${p.id}`,
        says: pageName(p),
        go: to(pageLocation('sheet', client.value, pageKey(p.id))),
      })),
  },
  {
    title: 'Phrases',
    list: () =>
      (book.value?.families ?? []).map((f) => ({
        id: `f${f.key}`,
        says: f.members[0]!.text,
        go: to({
          name: 'book',
          params: { client: client.value },
          query: { words: f.members[0]!.text, part: 'all' },
        }),
      })),
  },
  {
    title: 'Clients',
    list: () =>
      (names.value ?? []).map((c) => ({
        id: `k${c.id}`,
        says: c.name,
        go: to(stopLocation('ground', c.id, c.page_id)),
      })),
  },
])

const groups = computed(() => {
  const asked = words(typed.value)
  return all.value
    .map((g) => ({
      title: g.title,
      found: g
        .list()
        .filter((f) => asked.every((w) => f.says.toLowerCase().includes(w)))
        .slice(0, asked.length ? most : 20),
    }))
    .filter((g) => g.found.length && (asked.length || g.title !== 'Phrases'))
})
const found = computed(() => groups.value.flatMap((g) => g.found))
const here = computed(() => found.value[at.value]?.id ?? '')

function go(id: string) {
  const f = found.value.find((one) => one.id === id)
  open.value = false
  void nextTick(() => f?.go())
}
const list = ref<HTMLElement>()
async function move(by: number) {
  const n = found.value.length
  at.value = n ? (at.value + by + n) % n : 0
  await nextTick()
  list.value?.querySelector('[aria-selected=true]')?.scrollIntoView({ block: 'nearest' })
}
watch(open, () => {
  typed.value = ''
  at.value = 0
})
const field = ref<HTMLInputElement>()
</script>

<template>
  <DialogBox v-model="open" label="Find" corner :into="() => field">
    <input
      ref="field"
      v-model="typed"
      class="field full"
      name="find"
      role="combobox"
      autocomplete="off"
      aria-label="Find a page, a phrase, a client or a command"
      aria-controls="found"
      aria-expanded="true"
      :aria-activedescendant="here ? `found-${here}` : undefined"
      placeholder="page, phrase, client or command"
      @input="at = 0"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="go(here)"
    />
    <div id="found" ref="list" class="list scroll-y" role="listbox" aria-label="What was found">
      <div v-for="g in groups" :key="g.title" role="group" :aria-label="g.title">
        <p class="soft t-small mt-2" aria-hidden="true">{{ g.title }}</p>
        <div
          v-for="f in g.found"
          :id="`found-${f.id}`"
          :key="f.id"
          role="option"
          class="flow apart gap-3 pad-1 sides-2 hand"
          :class="{ banded: f.id === here }"
          :aria-selected="f.id === here"
          @click="go(f.id)"
        >
          <span>{{ f.says }}</span> <span v-if="f.key" class="kbd">{{ f.key }}</span>
        </div>
      </div>
    </div>
    <p v-if="!found.length" class="soft">No matches</p>
  </DialogBox>
</template>

<style scoped>
.list {
  max-height: 60vh;
}
</style>
