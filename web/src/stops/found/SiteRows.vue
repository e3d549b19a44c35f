<script setup lang="ts">
import type { Found } from '@/api/types'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import { count, moment, plural } from '@/parts/format'

/** A line for each site: what its list comes to. */
defineProps<{ sites: Found['sites'] }>()
const intents = [
  { intent: 'hire', says: 'hire' },
  { intent: 'question', says: 'questions' },
  { intent: 'brand', says: 'businesses' },
  { intent: 'elsewhere', says: 'elsewhere' },
  { intent: 'broad', says: 'broad' },
]
const num = (key: string, title: string, hint?: string): Column => ({ key, title, hint, num: true })
const columns: Column[] = [
  { key: 'site', title: 'found for' },
  num('phrases', 'phrases'),
  num('first_3', 'first 3'),
  num('first_10', 'first 10'),
  num('first_20', 'first 20'),
  ...intents.map((i) => num(i.intent, i.says)),
  num('visits', 'visits, est.', 'Search volume × click-through rate of each position: an estimate'),
  { key: 'from', title: 'from' },
]
</script>

<template>
  <div class="scroll-x nowrap">
    <DataTable :columns="columns" data-sites>
      <tbody>
        <tr v-for="s in sites" :key="s.site" :class="s.role" :data-site="s.site">
          <th scope="row">
            <span class="slab mr-2" :class="s.role">{{ s.name }}</span>
            <span v-if="s.name !== s.site" class="mono soft">{{ s.site }}</span>
          </th>
          <template v-if="s.sums">
            <td class="num figure">{{ count(s.sums.phrases) }}</td>
            <td class="num">{{ count(s.sums.first_3) }}</td>
            <td class="num">{{ count(s.sums.first_10) }}</td>
            <td class="num">{{ count(s.sums.first_20) }}</td>
            <td v-for="i in intents" :key="i.intent" class="num">
              {{ count(s.sums.intents[i.intent] ?? 0) }}
            </td>
            <td
              class="num figure"
              :title="
                s.sums.unknown
                  ? `${plural(s.sums.unknown, 'phrase')} without a known search volume count as none`
                  : ''
              "
            >
              {{ s.sums.visits >= 9.5 ? count(s.sums.visits) : s.sums.visits.toFixed(1) }}
            </td>
            <td class="soft">{{ s.source }}, {{ moment(s.taken_at) }}</td>
          </template>
          <td v-else colspan="11" class="pencil">no list yet</td>
        </tr>
      </tbody>
    </DataTable>
  </div>
</template>

<style scoped>
@media (max-width: 1100px) {
  .mono {
    display: block;
  }
}
</style>
