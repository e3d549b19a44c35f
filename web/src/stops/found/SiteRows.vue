<script setup lang="ts">
import type { Found } from '@/api/types'
import ActionButton from '@/ui/ActionButton.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import { count, visits, moment, moneyRange, pathOf, plural } from '@/parts/format'
import { ref } from 'vue'

type Site = Found['sites'][number]

/** A line for each site: what it is found for, and what it gets of that, page by page where that is asked for. */
defineProps<{ sites: Site[]; money: string }>()
const num = (key: string, title: string, hint?: string): Column => ({ key, title, hint, num: true })
const columns: Column[] = [
  { key: 'site', title: 'found for' },
  num('phrases', 'phrases'),
  num('first_3', 'first 3'),
  num('first_10', 'first 10'),
  num('first_20', 'first 20'),
  num(
    'hire',
    'visits ready to hire, est.',
    'As the list has them, else search volume × click-through rate of each position',
  ),
  num('worth', 'customers, est.'),
  num('apart', 'other visits', 'Business names, questions, other places'),
  num('map', 'by the map', 'Visits ready to hire by the map pack; in no other sum'),
]
const open = ref('')

/** What of a site's phrases stands in no sum. */
const left = (s: NonNullable<Site['sums']>) =>
  [
    s.unknown && `${plural(s.unknown, 'phrase')} without a known search volume`,
    s.uncounted &&
      `${plural(s.uncounted, 'phrase')} whose ${count(s.searched)} searches are not those of the town`,
  ]
    .filter(Boolean)
    .join('; ')
const from = (s: Site) =>
  [
    s.source && `${s.source}, ${moment(s.taken_at)}`,
    s.searches && plural(s.searches, 'recorded search', 'recorded searches'),
    s.chain && 'of the whole country',
  ]
    .filter(Boolean)
    .join(' · ')
const byVisits = (s: Site) => [...s.pages].sort((a, b) => b.hire - a.hire)
</script>

<template>
  <div class="scroll-x nowrap">
    <DataTable :columns="columns" data-sites>
      <tbody v-for="s in sites" :key="s.site">
        <tr :class="s.role" :data-site="s.site">
          <th scope="row">
            <span class="slab mr-2" :class="s.role">{{ s.name }}</span>
            <ActionButton
              v-if="s.pages.length > 1"
              quiet
              :aria-expanded="open === s.site"
              @click="open = open === s.site ? '' : s.site"
            >
              {{ plural(s.pages.length, 'page') }}
            </ActionButton>
            <span class="soft under">{{ from(s) || s.site }}</span>
          </th>
          <template v-if="s.sums">
            <td class="num figure">{{ count(s.sums.phrases) }}</td>
            <td class="num">{{ count(s.sums.first_3) }}</td>
            <td class="num">{{ count(s.sums.first_10) }}</td>
            <td class="num">{{ count(s.sums.first_20) }}</td>
            <td class="num" data-hire>
              <span class="figure">{{ visits(s.sums.hire) }}</span>
              <span v-if="left(s.sums)" class="soft under" :title="left(s.sums)">
                {{ plural(s.sums.unknown + s.sums.uncounted, 'phrase') }} not counted
              </span>
            </td>
            <td class="num soft">
              <template v-if="s.sums.worth">
                {{ visits(s.sums.worth.customers) }}
                <span v-if="s.sums.worth.most" class="under">{{ moneyRange(money, s.sums.worth) }}</span>
              </template>
              <template v-else>–</template>
            </td>
            <td class="num soft">{{ visits(s.sums.apart) }}</td>
            <td class="num soft">{{ visits(s.sums.map) }}</td>
          </template>
          <td v-else colspan="8" class="pencil">not known: no list, no recorded search</td>
        </tr>
        <template v-if="open === s.site">
          <tr v-for="p in byVisits(s)" :key="p.url" :class="s.role" class="t-small" :data-page="p.url">
            <td class="mono">{{ pathOf(p.url) }}</td>
            <td class="num">{{ count(p.phrases) }}</td>
            <td colspan="3"></td>
            <td class="num">{{ visits(p.hire) }}</td>
            <td></td>
            <td class="num soft">{{ visits(p.apart) }}</td>
            <td></td>
          </tr>
        </template>
      </tbody>
    </DataTable>
  </div>
</template>
