<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { addPhrasesMutation, askDemandMutation, foundOptions, undoImportMutation } from '@/api/calls'
import type { FoundPhrase, Ground } from '@/api/types'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import FigureLine from '@/parts/FigureLine.vue'
import { count, moneyRange, plural, visits, words as wordsOf } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import ListLeaf from '../ground/ListLeaf.vue'
import FoundRows from './FoundRows.vue'
import SiteRows from './SiteRows.vue'

/** What the client's site and its rivals' are found for: the ground's third leaf. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: found, error } = useQuery(() => ({
  ...foundOptions({ path: { client: props.client } }),
  shallow: true,
}))
const add = useMutation(addPhrasesMutation())
const ask = useMutation(askDemandMutation())
const undoImport = useMutation(undoImportMutation())
const undo = useUndo()

const intents = [
  { value: 'hire', says: 'ready to hire' },
  { value: 'question', says: 'questions' },
  { value: 'brand', says: 'business names' },
  { value: 'elsewhere', says: 'elsewhere' },
  { value: 'broad', says: 'too broad' },
  { value: '', says: 'all intents' },
]
const intent = ref('hire')
const gap = ref(false)
const words = ref('')
const imported = computed(() => found.value?.sites.some((s) => s.sums) ?? false)

/* What the client gets, what it misses of what rivals get, and what it can get. */
const reached = computed(() => {
  const f = found.value!
  const now = f.sites[own.value]?.sums?.hire ?? 0
  const worth = f.aimed_worth
  return [
    { figure: visits(now), says: 'visits a month ready to hire now, est.' },
    {
      figure: visits(f.missed ?? 0),
      says: 'missed: a rival gets them',
      hint: 'Phrase by phrase, what the best rival gets and the client does not',
    },
    { figure: visits(f.aimed ?? 0), says: 'at the aimed positions, est.', pencil: true },
    ...(worth
      ? [
          {
            /* Beside an en dash Zilla Slab forgets its lining figures. */
            figure: worth.most
              ? moneyRange(props.ground.money ?? '', worth).replace('–', ' to ')
              : visits(worth.customers),
            says: worth.most
              ? `a month from ${plural(Math.round(worth.customers), 'customer')} then, est.`
              : 'customers a month then, est.',
            pencil: true,
          },
        ]
      : []),
  ]
})

/* Within reach of a searcher: the first two pages of results. */
const reach = 20
const own = computed(() => found.value?.sites.findIndex((s) => s.role === 'client') ?? -1)
const isGap = (r: FoundPhrase) => {
  const mine = own.value < 0 ? 0 : r.positions[own.value]!
  return (!mine || mine > reach) && r.positions.some((p, i) => i !== own.value && p > 0 && p <= reach)
}
const rows = computed(() => {
  const asked = wordsOf(words.value)
  return (found.value?.rows ?? []).filter(
    (r) =>
      (!intent.value || r.intent === intent.value) &&
      (!gap.value || isGap(r)) &&
      asked.every((w) => r.text.includes(w)),
  )
})
const missing = computed(() => rows.value.filter((r) => !r.in_book))

async function take(phrases: string[]) {
  const report = await add
    .mutateAsync({ path: { client: props.client }, body: { phrases } })
    .catch(() => null)
  if (report?.import_id)
    undo.offer(`${plural(report.added, 'phrase')} added to the book`, () =>
      undoImport.mutateAsync({ path: { client: props.client, import: report.import_id } }),
    )
}

async function askSource() {
  const report = await ask.mutateAsync({ path: { client: props.client } }).catch(() => null)
  if (report?.import_id)
    undo.offer(`${plural(report.found, 'phrase')} that sites are found for imported`, () =>
      undoImport.mutateAsync({ path: { client: props.client, import: report.import_id } }),
    )
}
</script>

<template>
  <ListLeaf :client="client">
    <template #tools>
      <ActionButton quiet :disabled="ask.isPending.value" @click="askSource">
        {{ ask.isPending.value ? 'Getting lists…' : 'Get lists' }}
      </ActionButton>
    </template>
    <p
      v-for="e in [ask.error.value, add.error.value, error].filter(Boolean)"
      :key="e!.detail"
      class="mistake pad-3 edge flush"
    >
      {{ e!.detail }}
    </p>
    <p v-if="!found && !error" class="soft pad-3 edge flush">Loading…</p>
    <template v-else-if="found">
      <FigureLine v-if="found.missed !== null" class="ink-below" :figures="reached" data-reach />
      <SiteRows v-if="found.sites.length" :sites="found.sites" :money="ground.money ?? ''" />
      <p v-if="!found.sites.length" class="said readable pad-3 edge flush t-lead">
        Neither the client nor a rival has a site yet. What their sites are found for will be compared here.
        <RouterLink :to="{ name: 'lineup', params: { client } }">Add rivals in the lineup</RouterLink>.
      </p>
      <p v-else-if="!imported" class="said readable pad-3 edge flush t-lead">
        The phrases that each site is found for will be compared here, with positions. Import a list for the
        client and one for each rival (CSV, TSV, XLSX), or get the lists from the source.
      </p>
      <template v-else>
        <div class="filters flow wrap gap-4 lines-2 on-mid pad-2 edge ink-above">
          <ChoiceBox v-model="intent" label="Intent" :options="intents" />
          <label
            ><input v-model="gap" type="checkbox" name="gap" /> a rival is in the first 20, the client is
            not</label
          >
          <input
            v-model="words"
            class="field"
            name="words"
            aria-label="Words"
            placeholder="with these words"
          />
          <span class="soft">{{ count(rows.length) }} of {{ plural(found.total, 'phrase') }}</span>
          <ActionButton
            v-if="missing.length"
            :disabled="add.isPending.value"
            @click="take(missing.map((r) => r.text))"
          >
            Add {{ count(missing.length) }} to the book
          </ActionButton>
        </div>
        <FoundRows :rows="rows" :sites="found.sites" @take="(text) => take([text])" />
      </template>
    </template>
  </ListLeaf>
</template>

<style scoped>
.filters .field {
  width: var(--w19);
  padding: var(--s0);
}
.filters .press {
  margin-left: auto;
  padding: var(--s1) var(--s3);
}
</style>
