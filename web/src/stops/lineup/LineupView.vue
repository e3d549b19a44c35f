<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import {
  deleteEntryMutation,
  lineupOptions,
  measureMutation,
  moveEntryMutation,
  pasteRivalsMutation,
  recordSearchMutation,
  setEntryKindMutation,
  takeMutation,
} from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { Entry, Ground, Lineup } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { moment, plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
import { useUndo } from '@/parts/undo'
import { useEventListener } from '@vueuse/core'
import BookmarkLink from '@/parts/BookmarkLink.vue'
import { useFileDrop } from '@/parts/fileDrop'
import { isField } from '@/parts/keys'
import LineupPart from './LineupPart.vue'
import ResultsImport from './ResultsImport.vue'
import SearchList from './SearchList.vue'
import SiteKinds from './SiteKinds.vue'
import TypedRow from './TypedRow.vue'
import WhyTheyLead from './WhyTheyLead.vue'
import WaitingSearch from './WaitingSearch.vue'
import { canBeRival, isOwn, kindName, kindOfKey, stand } from './entries'
import { takeHanded } from '../receive/handed'
import { filesOfPaste } from './results'
import { ofRow } from './keys'
import { useRows } from '@/ui/rows'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const router = useRouter()
const route = useRoute()
const { data: lineup, error } = useQuery(() =>
  lineupOptions({ path: { client: props.client }, query: { lineup: Number(route.query.lineup) || 0 } }),
)
const search = useMutation(recordSearchMutation())
const pasteRivals = useMutation(pasteRivalsMutation())
const take = useMutation(takeMutation())
const measure = useMutation(measureMutation())
const busy = useBusy(() => props.client)
const move = useMutation(moveEntryMutation())
const setKind = useMutation(setEntryKindMutation())
const remove = useMutation(deleteEntryMutation())
const undo = useUndo()

/** Shows a recorded search; 0 is the main one. */
const show = (id: number) => router.replace({ query: id ? { lineup: String(id) } : {} })

/* A page of results that was pasted, dropped or chosen, to be looked at before it is kept. */
const copied = ref(takeHanded('lineup'))
/* The other form of what was pasted, where the clipboard holds two. */
const other = ref<File>()
const picker = ref<HTMLInputElement>()
const { over: held, on: dropFile } = useFileDrop<true>((data) => {
  ;[copied.value, other.value] = [data.files[0] ?? copied.value, undefined]
})
function chosen() {
  ;[copied.value, other.value] = [picker.value?.files?.[0] ?? copied.value, undefined]
  if (picker.value) picker.value.value = ''
}
/** What is pasted anywhere but in a field is a page of results. */
useEventListener(window, 'paste', (e: ClipboardEvent) => {
  if (isField(e.target) || !e.clipboardData) return
  const [first, second] = [...e.clipboardData.files, ...filesOfPaste(e.clipboardData)]
  if (first) [copied.value, other.value] = [first, e.clipboardData.files.length ? undefined : second]
})

const phrase = ref('')
const pasted = ref('')
const pasting = ref(false)
const typing = ref(false)
/** What a page of results from a tab was searched for, or what is to be searched for. */
const asked = () => (typeof route.query.phrase === 'string' ? route.query.phrase : '')
/* The phrase over the results is the one that they were found for. */
watch(
  () => lineup.value?.recorded_at,
  () => {
    const l = lineup.value
    phrase.value = asked() || l?.phrase || phrase.value || l?.phrases[0] || ''
  },
  { immediate: true },
)

useCommands([
  { key: '', says: 'Add results from a file', run: () => picker.value?.click() },
  { key: '', says: 'Type rows', run: () => (typing.value = !typing.value) },
  { key: '', says: 'Paste addresses of rivals', run: () => (pasting.value = !pasting.value) },
  { key: '', says: 'Search again', run: () => phrase.value && record() },
  { key: '', says: 'Measure the rivals', run: () => !busy.value && measureRivals() },
  ...ofRow,
])

const entries = computed(() => lineup.value?.entries ?? [])
const part = (name: string) => entries.value.filter((e) => e.part === name)
const rivals = computed(() => lineup.value?.rivals ?? 0)
const own = computed(() => entries.value.filter((e) => e.kind === 'client' && !e.sponsored))

const mapNote = computed(() => {
  const list = part('map')
  const sponsored = list.filter((e) => e.sponsored).length
  const found = own.value.find((e) => e.part === 'map')
  return [
    `${plural(list.length - sponsored, 'place')}${sponsored ? ` and ${sponsored} sponsored` : ''}`,
    stand(found?.position, lineup.value?.map_looked_at ?? 0),
  ].join(' · ')
})
const organicNote = computed(() => {
  const found = own.value.find((e) => e.part === 'organic')
  const looked = lineup.value?.looked_at
  return stand(found?.position, looked ?? 0)
})

/** The parts that hold something, in the order of a page of results. */
const parts = computed(() =>
  [
    { part: 'paid', title: 'Paid', note: 'not compared' },
    { part: 'map', title: 'Map pack', note: mapNote.value },
    { part: 'organic', title: 'Organic', note: organicNote.value },
    { part: 'typed', title: 'Added by hand', note: 'not from a search' },
  ].filter((p) => part(p.part).length),
)

/** The first of the pages that are judged against the search shown. */
const judged = computed(() => lineup.value?.pages[0] ?? 0)

const conditions = computed(() => {
  const l = lineup.value
  if (!l?.recorded_at) return ''
  return [
    l.place && `searched from ${l.place}`,
    l.device && `on a ${l.device}`,
    l.ads && `ads ${l.ads}`,
    moment(l.recorded_at),
  ]
    .filter(Boolean)
    .join(' · ')
})

const mistake = computed(
  () =>
    search.error.value?.detail ??
    pasteRivals.error.value?.detail ??
    take.error.value?.detail ??
    move.error.value?.detail ??
    setKind.error.value?.detail ??
    remove.error.value?.detail ??
    measure.error.value?.detail,
)

async function record() {
  pasteRivals.reset()
  const ok = await search
    .mutateAsync({ path: { client: props.client }, body: { phrase: phrase.value } })
    .catch(() => null)
  if (ok) await show(ok.id)
}

async function takePasted() {
  search.reset()
  const ok = await pasteRivals
    .mutateAsync({ path: { client: props.client }, body: { addresses: pasted.value } })
    .catch(() => null)
  if (ok) {
    pasted.value = ''
    pasting.value = false
  }
}

async function toggle(e: Entry) {
  const was = e.taken
  const ok = await take
    .mutateAsync({ path: { client: props.client, entry: e.id }, body: { taken: !was } })
    .catch(() => null)
  if (ok)
    undo.offer(was ? `${e.name} dismissed` : `${e.name} used as rival`, () =>
      take.mutateAsync({ path: { client: props.client, entry: e.id }, body: { taken: was } }),
    )
}

async function say(e: Entry, kind: Entry['kind']) {
  const was = e.kind
  if (was === kind) return
  const ok = await setKind
    .mutateAsync({ path: { client: props.client, entry: e.id }, body: { kind } })
    .catch(() => null)
  if (ok)
    undo.offer(`${e.name}: ${kindName(kind)}, for all clients`, () =>
      setKind.mutateAsync({ path: { client: props.client, entry: e.id }, body: { kind: was } }),
    )
}

async function put(e: Entry, position: number) {
  const was = e.position
  const ok = await move
    .mutateAsync({ path: { client: props.client, entry: e.id }, body: { position } })
    .catch(() => null)
  if (ok)
    undo.offer(`${e.name} moved to ${position}`, () =>
      move.mutateAsync({ path: { client: props.client, entry: e.id }, body: { position: was } }),
    )
}

const drop = (e: Entry) => remove.mutate({ path: { client: props.client, entry: e.id } })

const grid = ref<HTMLElement>()
/* Rows stand by parts. */
const keysOfRows = () => parts.value.flatMap((p) => part(p.part).map((e) => String(e.id)))
const rows = useRows(grid, keysOfRows, (key, row) => {
  const entry = entries.value.find((e) => String(e.id) === row)
  const kind = kindOfKey(key)
  if (!entry || isOwn(entry) || entry.hit) return false
  if (kind) void say(entry, kind)
  else if (key === ' ' && canBeRival(entry)) void toggle(entry)
  else if (key === 'Delete' && canBeRival(entry) && entry.taken) void toggle(entry)
  else if (key === 'Delete' && !entry.url) drop(entry)
  else return false
  return true
})

/** A search was brought or a row was typed: it is shown. */
async function brought(l?: Lineup) {
  copied.value = undefined
  if (l) await show(l.id)
}

async function measureRivals() {
  const run = await measure.mutateAsync({ path: { client: props.client } }).catch(() => null)
  if (run) await router.push({ name: 'sheet', params: { client: props.client, page: props.page } })
}
</script>

<template>
  <main id="main" class="view" :class="{ dropzone: held }" v-on="dropFile(true)">
    <form class="title flow wrap gap-5 lines-2 on-mid pad-2 edge ink-below" @submit.prevent="record">
      <label class="phrase">
        <span class="unseen">Phrase to search for</span>
        <input
          v-model="phrase"
          class="field slab"
          :title="phrase"
          name="phrase"
          list="phrases"
          placeholder="phrase"
        />
      </label>
      <datalist id="phrases">
        <option v-for="p in lineup?.phrases" :key="p" :value="p" />
      </datalist>
      <span v-if="conditions" class="soft conditions slim" :title="conditions">{{ conditions }}</span>
      <span v-else class="gap grow"></span>
      <ActionButton
        quiet
        title="Or paste a copied page of results here, or drop a saved one"
        @click="picker?.click()"
      >
        Add results
      </ActionButton>
      <input
        ref="picker"
        class="unseen"
        type="file"
        name="results"
        tabindex="-1"
        aria-label="A page of search results"
        accept=".html,.htm,.mhtml,.mht,.txt,.csv"
        @change="chosen"
      />
      <ActionButton quiet @click="typing = !typing">Type rows</ActionButton>
      <ActionButton quiet @click="pasting = !pasting">Paste addresses</ActionButton>
      <button
        v-if="lineup?.searchable"
        :class="entries.length ? 'link' : 'press main'"
        type="submit"
        :disabled="search.isPending.value"
      >
        {{ search.isPending.value ? 'Searching…' : lineup?.recorded_at ? 'Search again' : 'Search' }}
      </button>
      <ActionButton
        v-if="!lineup?.own_name"
        :class="{ main: entries.length }"
        :disabled="busy || measure.isPending.value"
        @click="measureRivals"
      >
        {{ rivals ? `Measure ${plural(rivals, 'rival')}` : 'Measure without rivals' }}
      </ActionButton>
    </form>
    <ResultsImport
      v-if="copied"
      :key="copied.name + copied.size + copied.lastModified"
      :client="client"
      :file="copied"
      :other="other"
      :phrase="phrase"
      :lineup="lineup"
      @done="brought"
    />
    <SearchList v-if="lineup?.id" :client="client" :ground="ground" :lineup="lineup" @show="show" />
    <p v-if="lineup?.own_name" class="flow gap-4 flush pad-2 edge line-below" data-own-name>
      <span>Who is found when somebody searches for your client by name. No rivals are taken from it.</span>
      <RouterLink class="push" :to="{ name: 'standing', params: { client } }">Standing</RouterLink>
    </p>
    <WaitingSearch v-if="lineup?.waits" :client="client" :ground="ground" :lineup="lineup" />
    <TypedRow v-if="typing" :client="client" :lineup="lineup" :phrase="phrase" @added="brought" />
    <p v-if="lineup" class="ways soft flush pad-2 edge line-below">
      Results from your browser: paste a copied page of results here, drop a saved one, or drag
      <BookmarkLink /> to your bookmarks bar and press it on the page.
    </p>
    <NoticeLine :fault="error" class="pad-2 edge" />
    <p v-if="mistake" class="mistake pad-2 edge" role="alert">{{ mistake }}</p>
    <form
      v-if="pasting || (lineup && !entries.length)"
      class="pad-2 edge readable"
      @submit.prevent="takePasted"
    >
      <p v-if="!entries.length" class="empty t-lead">
        The search results will be listed here: who is found, who is a rival, and which top positions no
        business holds.
        <template v-if="lineup?.searchable">Search for a phrase above, or search</template>
        <template v-else>Search</template>
        in your browser, select the whole page of results, copy it and paste it here. A saved page (HTML,
        MHTML) or a table (CSV) can be dropped. Or give the addresses of the pages to beat.
      </p>
      <label class="soft"
        >Rivals’ pages, one per line
        <textarea v-model="pasted" class="field mono" name="rivals" rows="4"></textarea>
      </label>
      <ActionButton submit class="mt-2" :disabled="pasteRivals.isPending.value">Use as rivals</ActionButton>
    </form>
    <template v-if="entries.length">
      <div ref="grid" @keydown="rows.onKeydown" @focusin="rows.onFocusin" @focusout="rows.onFocusout">
        <LineupPart
          v-for="p in parts"
          :key="p.part"
          :title="p.title"
          :note="p.note"
          :entries="part(p.part)"
          :all="entries"
          :tabbed="rows.tabbed.value"
          @toggle="toggle"
          @kind="say"
          @move="put"
          @remove="drop"
        />
      </div>
      <WhyTheyLead v-if="judged" :client="client" :page="judged" />
      <SiteKinds :client="client" />
    </template>
  </main>
</template>

<style scoped>
/* The phrase takes the room that it needs; what stands beside it gives way. */
.phrase {
  flex: 0 0 auto;
  max-width: 100%;
}
.phrase .field {
  field-sizing: content;
  min-width: var(--w28);
  max-width: 100%;
  font-size: var(--head);
  border-bottom-color: var(--rule);
}
.title .link {
  white-space: nowrap;
}
.conditions {
  flex: 1 1 var(--w20);
  line-height: 1.25;
}
</style>
