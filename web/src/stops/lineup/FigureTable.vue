<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { pasteFiguresMutation, setSiteFigureMutation, siteFiguresOptions } from '@/api/calls'
import type { FigureDraft, SiteFigures } from '@/api/types'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref } from 'vue'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { day, plural } from '@/parts/format'
import TypedField from '@/ui/TypedField.vue'
import { useUndo } from '@/parts/undo'

/** Figures of the client's site and its rivals' that come from elsewhere: typed in place, or pasted as a table. */
const props = defineProps<{ client: number }>()
const { data: figures } = useQuery(() => siteFiguresOptions({ path: { client: props.client } }))
const set = useMutation(setSiteFigureMutation())
const paste = useMutation(pasteFiguresMutation())
const undo = useUndo()
const source = ref('')
const takenOn = ref('')
const table = ref('')
const pasting = ref(false)

type Code = FigureDraft['figure']
const columns: { figure: Code; name: string }[] = [
  { figure: 'referring_domains', name: 'referring domains' },
  { figure: 'links', name: 'backlinks' },
  { figure: 'strength', name: 'strength' },
  { figure: 'listings', name: 'listings' },
  { figure: 'reviews', name: 'reviews' },
  { figure: 'rating', name: 'rating' },
  { figure: 'photos', name: 'photos' },
  { figure: 'phrases_found_for', name: 'phrases found for' },
  { figure: 'visits', name: 'visits/mo' },
]
const heads: Column[] = [
  { key: 'site', title: 'site' },
  ...columns.map((c) => ({ key: c.figure, title: c.name, num: true })),
]
const of = (s: SiteFigures, figure: Code) => s.figures.find((f) => f.figure === figure)
const shown = (n: number) => n.toLocaleString('en-US', { maximumFractionDigits: 1 })
/* What the recorded search shows of reviews stands where nobody typed any. */
const seen = (s: SiteFigures, figure: Code) =>
  figure === 'rating' ? s.map_rating : figure === 'reviews' ? s.map_reviews : null
const tells = (s: SiteFigures, figure: Code) => {
  const f = of(s, figure)
  return f
    ? [f.source || 'typed', f.scale, day(f.taken_on)].filter(Boolean).join(', ')
    : 'as the recorded search shows it'
}
/** A figure as it was typed: null for none, NaN for what is no number. */
function numberOf(typed: string) {
  const text = typed.replace(/[,\s]/g, '')
  return text ? Number(text) : null
}

const edit = useEdit()
async function put(s: SiteFigures, figure: Code, typed: string, from: string) {
  const value = numberOf(typed)
  if (value !== null && !Number.isFinite(value)) return true
  const path = { client: props.client, domain: s.domain }
  const body = { figure, value, source: source.value, taken_on: takenOn.value }
  const had = of(s, figure)
  let was = numberOf(from)
  if (had && shown(had.value) === from) was = had.value // it is shown with one decimal
  if (value === was) return true
  const ok = await edit.make((told) => {
    const now = figures.value?.find((x) => x.domain === s.domain)
    if (told) was = (now && of(now, figure)?.value) ?? null
    return set.mutateAsync({ path, body: { ...body, was: { value: was } } })
  })
  if (ok)
    undo.offer('Saved', () =>
      set.mutateAsync({
        path,
        body: {
          ...body,
          value: was,
          source: had?.source ?? '',
          taken_on: had?.taken_on.slice(0, 10) ?? '',
          was: { value },
        },
      }),
    )
  return ok !== null
}

async function takeTable() {
  const ok = await paste
    .mutateAsync({
      path: { client: props.client },
      body: { table: table.value, source: source.value, taken_on: takenOn.value },
    })
    .catch(() => null)
  if (!ok) return
  table.value = ''
  pasting.value = false
}
</script>

<template>
  <section v-if="figures?.length" class="figures pad-4" data-figures>
    <div class="head edge flow wrap on-base gap-4 lines-1">
      <h2 class="t-lead flush">Figures from elsewhere</h2>
      <label class="soft"
        >source <input v-model="source" class="field" name="figures_source" placeholder="who says so"
      /></label>
      <label class="soft"
        >day <input v-model="takenOn" class="field" name="figures_day" placeholder="today"
      /></label>
      <ActionButton quiet @click="pasting = !pasting">Paste a table</ActionButton>
      <span v-if="paste.data.value" class="soft" role="status">
        {{ plural(paste.data.value.kept, 'figure') }} kept{{
          paste.data.value.unknown.length ? `; not in the lineup: ${paste.data.value.unknown.join(', ')}` : ''
        }}
      </span>
    </div>
    <form v-if="pasting" class="flow gap-2 at-end pad-2 edge readable" @submit.prevent="takeTable">
      <textarea
        v-model="table"
        class="field mono"
        name="figures_table"
        rows="4"
        aria-label="Table of figures"
        placeholder="e.g.&#10;site, referring domains, reviews&#10;harborflue.example, 88, 120"
      ></textarea>
      <ActionButton submit :disabled="!table.trim() || paste.isPending.value"> Add figures </ActionButton>
    </form>
    <NoticeLine :fault="paste.error.value" class="edge" />
    <EditFault class="edge" :fault="set.error.value" :again="edit.again.value" />
    <div class="scroll-x">
      <DataTable :columns="heads">
        <tbody>
          <tr v-for="s in figures" :key="s.domain" :data-site="s.domain">
            <th scope="row" class="one-line" :class="{ bold: s.own }" :title="s.domain">
              {{ s.name }} <span v-if="s.chain" class="soft">chain: of the whole country</span>
            </th>
            <td
              v-for="c in columns"
              :key="c.figure"
              :title="of(s, c.figure) || seen(s, c.figure) !== null ? tells(s, c.figure) : undefined"
            >
              <TypedField
                class="num figure-field"
                :class="{ soft: !of(s, c.figure) }"
                :value="of(s, c.figure) ? shown(of(s, c.figure)!.value) : ''"
                :placeholder="seen(s, c.figure) === null ? '–' : shown(seen(s, c.figure)!)"
                :aria-label="`${c.name} of ${s.name}`"
                inputmode="decimal"
                :save="(typed, was) => put(s, c.figure, typed, was)"
              />
            </td>
          </tr>
        </tbody>
      </DataTable>
    </div>
  </section>
</template>

<style scoped>
.head .field {
  width: var(--w16);
  padding: var(--s0);
}
td {
  padding: 0;
}
.figure-field {
  width: 100%;
  min-width: var(--w8);
  border: 0;
  background: none;
  padding: var(--s2);
}
.figure-field:focus {
  outline: var(--focus-line);
}
</style>
