<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { bookOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { bare, count, plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
import { pageName } from '@/parts/pages'
import ListLeaf from '../ground/ListLeaf.vue'
import BookFilters from './BookFilters.vue'
import BookTable from './BookTable.vue'
import CandidateList from './CandidateList.vue'
import CarrierPages from './CarrierPages.vue'
import { emptyFilter, shown } from './filter'
import GroundPanel from './GroundPanel.vue'
import ImportedLists from './ImportedLists.vue'
import ListsPanel from './ListsPanel.vue'
import { useBookActions } from './useBookActions'
import { useFilter } from './useFilter'
import TieList from './TieList.vue'
import VolumeArea from './VolumeArea.vue'
import WordsToJudge from './WordsToJudge.vue'
import WordVerdicts from './WordVerdicts.vue'

/** The phrase book: the ground's second leaf. Lists are dropped, pasted or chosen. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: book, error } = useQuery(() => ({
  ...bookOptions({ path: { client: props.client } }),
  shallow: true,
}))

const filter = useFilter()
const { picked, pick, reason, say, lead, put, merge, writeFor, askDemand, asking, mistakes } = useBookActions(
  () => props.client,
  () => props.ground,
  () => book.value?.families ?? [],
)
/* Whether pages and words stand beside the book where there is little room. */
const beside = ref(false)
/* What is open above the book. */
const panel = ref<'' | 'services' | 'lists' | 'candidates'>('')
const show = (name: typeof panel.value) => (panel.value = panel.value === name ? '' : name)

const panels = [
  { name: 'services', says: 'Services and places' },
  { name: 'lists', says: 'Word lists' },
  { name: 'candidates', says: 'Suggestions' },
] as const

const rows = computed(() => (book.value ? shown(book.value.families, filter.value) : []))
const nameOf = (id: number) => {
  const page = props.ground.pages.find((p) => p.id === id)
  return page ? pageName(page) : 'a page'
}
/* Where two pages are for the same, their addresses tell them apart. */
const addressOf = (id: number) => {
  const page = props.ground.pages.find((p) => p.id === id)
  return page?.url ? bare(page.url) : `${nameOf(id)} (new)`
}
const worth = computed(() => rows.value.reduce((sum, r) => sum + (r.kept ? r.worth : 0), 0))
const gain = computed(() => rows.value.reduce((sum, r) => sum + (r.kept ? r.row_gain : 0), 0))
/* Families that stand in the rows: they are counted apart. */
const also = computed(() => rows.value.reduce((sum, r) => sum + r.also.length, 0))
const judging = ref<InstanceType<typeof WordsToJudge>>()
useCommands([
  { key: 'w', says: 'Judge words', run: () => judging.value?.start() },
  ...panels.map((p) => ({ key: '', says: p.says, run: () => show(p.name) })),
  { key: '', says: 'Get search volumes', run: () => !asking.value && askDemand() },
])
</script>

<template>
  <ListLeaf :client="client">
    <template #told>
      <span v-if="book" class="soft tally">
        {{ plural(book.phrases, 'phrase') }} in {{ plural(book.families.length, 'family', 'families') }}
      </span>
    </template>
    <template #tools>
      <ActionButton
        v-for="p in panels"
        :key="p.name"
        quiet
        :aria-expanded="panel === p.name"
        @click="show(p.name)"
      >
        {{ p.says }}
      </ActionButton>
      <ActionButton quiet :disabled="asking" @click="askDemand">
        {{ asking ? 'Getting search volumes…' : 'Get search volumes' }}
      </ActionButton>
      <ActionButton quiet :href="`/api/clients/${client}/book.csv`" download>Save as .csv</ActionButton>
    </template>
    <GroundPanel v-if="panel === 'services'" :client="client" :ground="ground" @done="panel = ''" />
    <ListsPanel v-if="panel === 'lists'" :client="client" @done="panel = ''" />
    <CandidateList v-if="panel === 'candidates'" :client="client" @done="panel = ''" />
    <p v-for="m in mistakes" :key="m" class="mistake pad-2 edge" role="alert">{{ m }}</p>
    <NoticeLine v-if="error" :fault="error" class="pad-2 edge" />
    <p v-else-if="!book" class="soft pad-2 edge">Loading the book…</p>
    <div v-else-if="!book.families.length" class="pad-2 edge">
      <p class="readable t-lead">
        The phrases that people search for will be listed here, grouped in families. Import a list (CSV, TSV,
        XLSX), paste one, or start with suggestions from the client’s services and places.
      </p>
    </div>
    <template v-else>
      <BookFilters v-model="filter" :book="book">
        <ActionButton quiet class="beside" :aria-expanded="beside" @click="beside = !beside">
          Pages and words
        </ActionButton>
      </BookFilters>
      <div v-if="picked.size" class="bulk flow wrap gap-4 lines-2 on-mid pad-2 edge washed">
        <b>{{ picked.size }} selected</b>
        <input
          v-model="reason"
          class="field"
          name="reason"
          aria-label="Reason"
          placeholder="reason (optional)"
        />
        <ActionButton class="pad-1 sides-3" @click="say([...picked], 'aside', reason)">
          Dismiss
        </ActionButton>
        <ActionButton class="pad-1 sides-3" @click="say([...picked], 'kept', reason)"> Keep </ActionButton>
        <ActionButton class="pad-1 sides-3" :disabled="picked.size < 2" @click="merge"> Merge </ActionButton>
        <ActionButton class="pad-1 sides-3" @click="writeFor">Use on the home page</ActionButton>
        <ActionButton quiet @click="say([...picked], '')">Back to the rule</ActionButton>
        <ActionButton quiet @click="picked = new Set()">Clear selection</ActionButton>
      </div>
      <p
        v-else-if="filter.part === 'kept' && rows.length && !rows.some((r) => r.volume)"
        class="sum soft flush"
      >
        {{ plural(rows.length, 'family', 'families') }}. Search volumes are not known yet. Get them, or import
        a list that has them, to sort the families by gain.
      </p>
      <p v-else-if="filter.part === 'kept'" class="sum soft flush">
        {{ plural(rows.length, 'family', 'families')
        }}<template v-if="also"> and {{ also }} also searched</template>, about
        <b class="figure">{{ count(gain) }}</b> more visits a month at the aimed positions<template
          v-if="worth >= 1"
          >, worth about <b class="figure">{{ ground.money }}{{ count(worth) }}</b></template
        >. An estimate from search volume and the click-through rate of each position.
      </p>
      <VolumeArea v-if="book.no_area" :client="client" :phrases="book.no_area" />
      <div class="columns flow grow low ink-above">
        <BookTable
          :rows="rows"
          :picked="picked"
          :other-share="book.other_share"
          :also-share="book.also_share"
          :families="book.families"
          :ground="ground"
          :page-name="nameOf"
          :address-of="addressOf"
          @pick="pick"
          @choose="(key, state) => say([key], state)"
          @lead="lead"
          @place="
            (phrases, where) =>
              put(phrases, where, where ? `“${where}” separated` : `“${phrases[0]!.text}” moved back`)
          "
        />
        <aside aria-label="Pages and words" :class="{ beside }">
          <WordsToJudge
            ref="judging"
            :client="client"
            :words="book.unfamiliar"
            @show="(word) => (filter = { ...emptyFilter(), words: word })"
          />
          <CarrierPages
            v-model="filter.page"
            :client="client"
            :pages="book.pages"
            :page-name="nameOf"
            :address-of="addressOf"
          />
          <TieList :client="client" :book="book" />
          <WordVerdicts :client="client" :book="book" />
          <ImportedLists :client="client" :imports="book.imports" />
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
@media not (max-width: 1100px) {
  .link.beside {
    display: none;
  }
}
.bulk .field {
  width: var(--w28);
  padding: var(--s0);
}
.sum {
  padding: var(--s0) var(--edge) var(--s2);
}
.sum .figure {
  color: var(--ink);
  font-size: var(--lead);
}
aside {
  width: var(--w30);
  border-left: var(--ink-line);
  padding: var(--s1) var(--s3) var(--s4);
  overflow-y: auto;
}
@media (max-width: 760px) {
  .columns {
    overflow-x: auto;
    min-height: 60vh;
  }
}
</style>
