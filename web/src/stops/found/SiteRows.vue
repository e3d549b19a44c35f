<script setup lang="ts">
import type { Found } from '@/api/types'
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
</script>

<template>
  <div class="scroll">
    <table data-sites>
      <thead class="soft">
        <tr>
          <th scope="col">found for</th>
          <th class="num" scope="col">phrases</th>
          <th class="num" scope="col">first 3</th>
          <th class="num" scope="col">first 10</th>
          <th class="num" scope="col">first 20</th>
          <th v-for="i in intents" :key="i.intent" class="num" scope="col">{{ i.says }}</th>
          <th
            class="num"
            scope="col"
            title="Search volume × click-through rate of each position: an estimate"
          >
            visits, est.
          </th>
          <th scope="col">from</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in sites" :key="s.site" :class="s.role" :data-site="s.site">
          <th scope="row">
            <span class="slab">{{ s.name }}</span>
            <span v-if="s.name !== s.site" class="mono soft">{{ s.site }}</span>
          </th>
          <template v-if="s.sums">
            <td class="num figure large">{{ count(s.sums.phrases) }}</td>
            <td class="num">{{ count(s.sums.first_3) }}</td>
            <td class="num">{{ count(s.sums.first_10) }}</td>
            <td class="num">{{ count(s.sums.first_20) }}</td>
            <td v-for="i in intents" :key="i.intent" class="num">
              {{ count(s.sums.intents[i.intent] ?? 0) }}
            </td>
            <td
              class="num figure large"
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
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  padding: 5px 8px;
  border-bottom: 1px solid var(--rule);
  white-space: nowrap;
  font-weight: 400;
}
th {
  text-align: left;
}
th.num {
  text-align: right;
}
th:first-child {
  padding-left: var(--edge);
  white-space: normal;
}
thead th {
  font-size: 12px;
  border-bottom-color: var(--ink);
}
tbody th .slab {
  font-size: 15px;
  margin-right: 8px;
}
tr.rival th .slab,
tr.rival td.num {
  color: var(--rival);
}
.large {
  font-size: 17px;
}
@media (max-width: 1100px) {
  th,
  td {
    padding: 5px 5px;
  }
  tbody th .mono {
    display: block;
  }
}
</style>
