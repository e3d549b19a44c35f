<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { overviewOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { count, plural } from '@/parts/format'
import OverviewRow from './OverviewRow.vue'
import { byMissing, totals } from './rows'

/** All pages at a glance, what most is missing of first. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: overview, error } = useQuery(() => overviewOptions({ path: { client: props.client } }))

const columns: Column[] = [
  { key: 'page', title: 'page', width: 'w26', narrow: 'w22' },
  { key: 'words', title: 'words', width: 'w10', narrow: 'w8' },
  { key: 'strokes', title: 'on the page, and to write', width: 'w28', narrow: 'w22' },
  { key: 'first', title: 'its first phrase', width: 'w22', narrow: 'w20' },
  { key: 'images', title: 'image names', width: 'w10', narrow: 'w8' },
  { key: 'strongest', title: 'the strongest comparable page', width: 'w26', narrow: 'w20' },
  { key: 'found', title: 'found on it' },
]
const rows = computed(() => byMissing(overview.value?.rows ?? []))
const sum = computed(() => totals(rows.value))
</script>

<template>
  <main id="main">
    <NoticeLine :fault="error" class="pad-2 edge" />
    <div v-if="overview" class="cells scroll-x">
      <DataTable :columns="columns" lined fixed class="wide">
        <tbody>
          <OverviewRow
            v-for="r in rows"
            :key="r.id || r.kind + r.service + r.place"
            :row="r"
            :client="client"
          />
        </tbody>
      </DataTable>
      <p class="sum flow wrap gap-6 lines-1 flush pad-3 edge line-below" data-sum>
        <span
          ><b class="figure">{{ count(sum.pages) }}</b> {{ sum.pages === 1 ? 'page' : 'pages' }},
          <b class="figure">{{ count(sum.toMake) }}</b> to make</span
        >
        <span
          ><b class="figure">{{ count(sum.words) }}</b> words on the site,
          <b class="figure">{{ count(sum.toWrite) }}</b> to write</span
        >
        <span v-for="r in overview.rivals" :key="r.name" class="rival"
          >{{ r.name }}: {{ plural(r.pages, 'page') }}, {{ r.services }} for services, {{ r.areas }} for
          places</span
        >
      </p>
      <p
        v-if="!overview.surveyed && ground.home_page"
        class="sum soft flow wrap gap-6 lines-1 flush pad-3 edge line-below"
      >
        The pages of the site have not been looked for yet.
        <router-link :to="{ name: 'site', params: { client } }">Survey the site</router-link>
      </p>
    </div>
  </main>
</template>

<style scoped>
.wide {
  min-width: var(--w125);
}
</style>
