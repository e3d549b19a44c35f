<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { overviewOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { count, plural } from '@/parts/format'
import OverviewRow from './OverviewRow.vue'
import { byMissing, totals } from './rows'

/** All pages at a glance, what most is missing of first. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: overview, error } = useQuery(() => overviewOptions({ path: { client: props.client } }))

const rows = computed(() => byMissing(overview.value?.rows ?? []))
const sum = computed(() => totals(rows.value))
</script>

<template>
  <main>
    <NoticeLine :fault="error" class="said" />
    <div v-if="overview" class="cells">
      <table>
        <colgroup>
          <col class="c-page" />
          <col class="c-words" />
          <col class="c-strokes" />
          <col class="c-marks" />
          <col class="c-images" />
          <col class="c-strongest" />
          <col />
        </colgroup>
        <thead>
          <tr class="soft">
            <th scope="col">page</th>
            <th scope="col">words</th>
            <th scope="col">on the page, and to write</th>
            <th scope="col">its first phrase</th>
            <th scope="col">image names</th>
            <th scope="col">the strongest comparable page</th>
            <th scope="col">found on it</th>
          </tr>
        </thead>
        <tbody>
          <OverviewRow
            v-for="r in rows"
            :key="r.id || r.kind + r.service + r.place"
            :row="r"
            :client="client"
          />
        </tbody>
      </table>
      <p class="sum" data-sum>
        <span
          ><b>{{ count(sum.pages) }}</b> {{ sum.pages === 1 ? 'page' : 'pages' }},
          <b>{{ count(sum.toMake) }}</b> to make</span
        >
        <span
          ><b>{{ count(sum.words) }}</b> words on the site, <b>{{ count(sum.toWrite) }}</b> to write</span
        >
        <span v-for="r in overview.rivals" :key="r.name" class="rival"
          >{{ r.name }}: {{ plural(r.pages, 'page') }}, {{ r.services }} for services, {{ r.areas }} for
          places</span
        >
      </p>
      <p v-if="!overview.surveyed && ground.home_page" class="sum soft">
        The pages of the site have not been looked for yet.
        <router-link :to="{ name: 'site', params: { client } }">Survey the site</router-link>
      </p>
    </div>
  </main>
</template>

<style scoped>
.cells {
  overflow-x: auto;
}
.said {
  margin: 0;
  padding: 8px var(--edge);
}
table {
  border-collapse: collapse;
  table-layout: fixed;
  width: 100%;
  min-width: 1000px;
}
.c-page {
  width: 206px;
}
.c-words {
  width: 76px;
}
.c-strokes {
  width: 224px;
}
.c-marks {
  width: 168px;
}
.c-images {
  width: 82px;
}
.c-strongest {
  width: 208px;
}
:deep(th),
:deep(td) {
  text-align: left;
  font-weight: 400;
  padding: 4px 10px;
  border-bottom: 1px solid var(--rule);
  border-right: 1px solid var(--rule);
  vertical-align: middle;
}
:deep(th:first-child) {
  padding-left: var(--edge);
}
:deep(th:last-child),
:deep(td:last-child) {
  border-right: 0;
}
thead th {
  border-bottom-color: var(--ink);
  font-size: 12.5px;
}
:deep(tbody .slab) {
  font-size: 15.5px;
  font-weight: 600;
  text-decoration: none;
}
:deep(tbody .slab:hover) {
  text-decoration: underline;
}
:deep(.under) {
  display: block;
  font-size: 12.5px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
:deep(.words .figure) {
  font-size: 19px;
}
:deep(.strokes) {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
:deep(.strongest) {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 8px;
}
:deep(.strongest .under) {
  grid-column: 1 / -1;
}
:deep(.found .line) {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
  overflow-wrap: anywhere;
  color: var(--ink-soft);
}
@media (max-width: 1100px) {
  .c-page {
    width: 172px;
  }
  .c-words {
    width: 62px;
  }
  .c-strokes {
    width: 172px;
  }
  .c-marks {
    width: 156px;
  }
  .c-images {
    width: 62px;
  }
  .c-strongest {
    width: 158px;
  }
  :deep(th),
  :deep(td) {
    padding-left: 7px;
    padding-right: 7px;
  }
}
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 26px;
  margin: 0;
  padding: 12px var(--edge);
  border-bottom: 1px solid var(--rule);
}
.sum b {
  font-family: var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
</style>
