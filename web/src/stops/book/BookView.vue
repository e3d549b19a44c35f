<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBook, useBookChanges } from '@/api/book'
import type { BookPhrase, Ground } from '@/api/client'
import { useChanges } from '@/api/queries'
import { bare, count } from '@/parts/format'
import { pageName } from '@/parts/pages'
import { useUndo } from '@/parts/undo'
import { toBusiness, toForm } from '../ground/business'
import ListLeaf from '../ground/ListLeaf.vue'
import BookFilters from './BookFilters.vue'
import BookTable from './BookTable.vue'
import CandidateList from './CandidateList.vue'
import CarrierPages from './CarrierPages.vue'
import { emptyFilter, shown } from './filter'
import GroundPanel from './GroundPanel.vue'
import ListsPanel from './ListsPanel.vue'
import TakenLists from './TakenLists.vue'
import WordVerdicts from './WordVerdicts.vue'

/** The phrase book: the ground's second leaf. Lists are dropped, pasted or chosen. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: book, error } = useBook(() => props.client)
const { choose, place, ask, undoImport } = useBookChanges(() => props.client)
const { saveGround } = useChanges(() => props.client)
const undo = useUndo()

const filter = ref(emptyFilter())
const picked = ref(new Set<string>())
const reason = ref('')
/* Whether pages and words stand beside the book where there is little room. */
const beside = ref(false)
/* What is open above the book. */
const panel = ref<'' | 'services' | 'lists' | 'candidates'>('')
const show = (name: typeof panel.value) => (panel.value = panel.value === name ? '' : name)

const panels = [
  { name: 'services', says: 'Services and places' },
  { name: 'lists', says: 'Word lists' },
  { name: 'candidates', says: 'Candidates' },
] as const

const rows = computed(() => (book.value ? shown(book.value.families, filter.value) : []))
const nameOf = (id: number) => {
  const page = props.ground.pages.find((p) => p.id === id)
  return page ? pageName(page) : 'a page'
}
/* Where two pages are for the same, their addresses tell them apart. */
const addressOf = (id: number) => {
  const page = props.ground.pages.find((p) => p.id === id)
  return page?.url ? bare(page.url) : `${nameOf(id)} (to be made)`
}
const worth = computed(() => rows.value.reduce((sum, r) => sum + (r.kept ? r.worth : 0), 0))
const gain = computed(() => rows.value.reduce((sum, r) => sum + (r.kept ? r.gain : 0), 0))

function pick(keys: string[], on: boolean) {
  const next = new Set(picked.value)
  for (const key of keys)
    if (on) next.add(key)
    else next.delete(key)
  picked.value = next
}

async function say(keys: string[], state: 'kept' | 'aside' | '', why = '') {
  const before = new Map(book.value?.families.map((f) => [f.key, f.choice]))
  const ok = await choose.mutateAsync({ keys, state, reason: why, lead: '' }).catch(() => null)
  if (!ok) return
  picked.value = new Set()
  reason.value = ''
  undo.offer(keys.length === 1 ? 'Said' : `Said of ${keys.length} families`, async () => {
    const states = new Map<string, string[]>()
    for (const key of keys) {
      const c = before.get(key)
      const as = JSON.stringify([c?.state ?? '', c?.reason ?? ''])
      states.set(as, [...(states.get(as) ?? []), key])
    }
    for (const [as, group] of states) {
      const [state, reason] = JSON.parse(as)
      await choose.mutateAsync({ keys: group, state, reason, lead: '' })
    }
  })
}

async function askDemand() {
  const report = await ask.mutateAsync().catch(() => null)
  if (report?.import_id)
    undo.offer(`Searches of ${count(report.added + report.joined)} phrases taken`, () =>
      undoImport.mutateAsync(report.import_id),
    )
}

/** Puts the phrases of the picked families on the sheet of the home page. */
async function writeFor() {
  const before = toBusiness(toForm(props.ground))
  const chosen = (book.value?.families ?? []).filter((f) => picked.value.has(f.key))
  const phrases = [...new Set([...before.phrases, ...chosen.flatMap((f) => f.members.map((m) => m.text))])]
  const ok = await saveGround.mutateAsync({ ...before, phrases }).catch(() => null)
  if (!ok) return
  picked.value = new Set()
  undo.offer(`${chosen.length} families are on the sheet`, () => saveGround.mutateAsync(before))
}

/** Lets another member lead its family. */
async function lead(key: string, text: string) {
  const had = book.value?.families.find((f) => f.key === key)
  if (!had) return
  const choice = { keys: [key], state: had.choice.state, reason: had.choice.reason }
  const before = had.choice.lead || had.members[0]!.text
  const ok = await choose.mutateAsync({ ...choice, lead: text }).catch(() => null)
  if (ok) undo.offer(`“${text}” leads`, () => choose.mutateAsync({ ...choice, lead: before }))
}

/** Puts phrases in another family; undone by putting each where it was. */
async function put(phrases: BookPhrase[], where: string, says: string) {
  const ok = await place.mutateAsync({ phrases: phrases.map((p) => p.text), with: where }).catch(() => null)
  if (!ok) return
  picked.value = new Set()
  undo.offer(says, async () => {
    for (const was of new Set(phrases.map((p) => p.with)))
      await place.mutateAsync({
        phrases: phrases.filter((p) => p.with === was).map((p) => p.text),
        with: was,
      })
  })
}

/** Makes one family of those picked: the others join the first, which gains most. */
async function merge() {
  const [first, ...others] = (book.value?.families ?? []).filter((f) => picked.value.has(f.key))
  if (first)
    await put(
      others.flatMap((f) => f.members),
      first.members[0]!.text,
      `${others.length + 1} families are one`,
    )
}
</script>

<template>
  <ListLeaf :client="client">
    <template #told>
      <span v-if="book" class="soft tally">
        {{ count(book.phrases) }} phrases in {{ count(book.families.length) }} families
      </span>
    </template>
    <template #tools>
      <button
        v-for="p in panels"
        :key="p.name"
        class="link"
        type="button"
        :aria-expanded="panel === p.name"
        @click="show(p.name)"
      >
        {{ p.says }}
      </button>
      <button class="link" type="button" :disabled="ask.isPending.value" @click="askDemand">
        {{ ask.isPending.value ? 'Asking…' : 'Ask for searches' }}
      </button>
      <a class="link" :href="`/api/clients/${client}/book.csv`" download>Save as .csv</a>
    </template>
    <GroundPanel v-if="panel === 'services'" :client="client" :ground="ground" @done="panel = ''" />
    <ListsPanel v-if="panel === 'lists'" :client="client" @done="panel = ''" />
    <CandidateList v-if="panel === 'candidates'" :client="client" @done="panel = ''" />
    <p v-if="saveGround.error.value" class="mistake said" role="alert">
      {{ saveGround.error.value.message }}
    </p>
    <p v-if="ask.error.value" class="mistake said" role="alert">{{ ask.error.value.message }}</p>
    <p v-if="error" class="mistake said">{{ error.message }}</p>
    <p v-else-if="!book" class="soft said">Opening the book…</p>
    <div v-else-if="!book.families.length" class="said">
      <p class="big">
        The phrases that people search by come here, in families: drop a list (CSV, TSV, XLSX), paste one, or
        begin with the candidates of the client’s services and places.
      </p>
    </div>
    <template v-else>
      <BookFilters v-model="filter" :book="book">
        <button class="link beside" type="button" :aria-expanded="beside" @click="beside = !beside">
          Pages and words
        </button>
      </BookFilters>
      <div v-if="picked.size" class="bulk">
        <b>{{ picked.size }} picked</b>
        <input
          v-model="reason"
          class="field"
          name="reason"
          aria-label="Reason"
          placeholder="the reason, if there is one"
        />
        <button class="press" type="button" @click="say([...picked], 'aside', reason)">Set aside</button>
        <button class="press" type="button" @click="say([...picked], 'kept', reason)">Keep</button>
        <button class="press" type="button" :disabled="picked.size < 2" @click="merge">Merge</button>
        <button class="press" type="button" @click="writeFor">Put on the sheet</button>
        <button class="link" type="button" @click="say([...picked], '')">As the rules say</button>
        <button class="link" type="button" @click="picked = new Set()">Pick none</button>
      </div>
      <p v-else-if="filter.part === 'kept' && rows.length && !rows.some((r) => r.volume)" class="sum soft">
        {{ count(rows.length) }} families. How often they are searched for is not known yet:
        <i>Ask for searches</i>, or bring a list that has them, and they stand in order of what they may
        bring.
      </p>
      <p v-else-if="filter.part === 'kept'" class="sum soft">
        {{ count(rows.length) }} families, about <b class="figure">{{ count(gain) }}</b> visits a month more
        at the aimed positions<template v-if="worth >= 1"
          >, worth about <b class="figure">{{ ground.money }}{{ count(worth) }}</b></template
        >: an estimate from searches a month and the share that each position gets.
      </p>
      <p v-if="choose.error.value" class="mistake said">{{ choose.error.value.message }}</p>
      <p v-if="place.error.value" class="mistake said">{{ place.error.value.message }}</p>
      <div class="columns">
        <BookTable
          :rows="rows"
          :picked="picked"
          :ground="ground"
          :page-name="nameOf"
          :address-of="addressOf"
          @pick="pick"
          @choose="(key, state) => say([key], state)"
          @lead="lead"
          @place="
            (phrases, where) =>
              put(phrases, where, where ? `“${where}” stands alone` : `“${phrases[0]!.text}” is back`)
          "
        />
        <aside aria-label="Pages and words" :class="{ beside }">
          <CarrierPages
            v-model="filter.page"
            :client="client"
            :pages="book.pages"
            :page-name="nameOf"
            :address-of="addressOf"
          />
          <WordVerdicts :client="client" :book="book" />
          <TakenLists :client="client" :imports="book.imports" />
        </aside>
      </div>
    </template>
  </ListLeaf>
</template>

<style scoped>
@media (max-width: 1100px) {
  .tally {
    display: none;
  }
  .columns aside:not(.beside) {
    display: none;
  }
}
@media (min-width: 1101px) {
  .link.beside {
    display: none;
  }
}
.said {
  padding: 14px var(--edge);
}
.big {
  font-size: 15px;
  max-width: 600px;
}
.bulk {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  padding: 8px var(--edge);
}
.bulk .field {
  width: 220px;
  padding: 2px;
}
.bulk {
  background: var(--pencil-wash);
}
.press {
  padding: 4px 12px;
}
.sum {
  margin: 0;
  padding: 2px var(--edge) 8px;
}
.sum .figure {
  color: var(--ink);
  font-size: 16px;
}
aside {
  width: 236px;
  border-left: 1px solid var(--ink);
  padding: 4px 14px 16px;
  overflow-y: auto;
}
.columns {
  display: flex;
  flex: 1;
  min-height: 0;
  border-top: 1px solid var(--ink);
}
</style>
