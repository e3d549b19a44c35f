<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { backupsOptions, missedOptions, shelfOptions } from '@/api/calls'
import type { ShelfRow } from '@/api/types'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import EmptyState from '@/ui/EmptyState.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import AppHeader from '@/parts/AppHeader.vue'
import { count, gain, moment, plural } from '@/parts/format'
import { stopLocation, type StopName } from '@/parts/stops'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import ShortWay from './ShortWay.vue'

defineEmits<{ help: []; find: [] }>()

const { data: rows, error, isPending } = useQuery(shelfOptions())
/* What takes longer comes bit by bit. */
const { data: missed } = useQuery({
  ...missedOptions(),
  refetchInterval: (query) => (query.state.data?.rest ? 1000 : false),
})
const misses = computed(() => new Map(missed.value?.clients.map((c) => [c.client, c.missed]) ?? []))
const { data: backups } = useQuery(backupsOptions())
const lastBackup = computed(() => backups.value?.days[0])
const day = (d: string) =>
  new Date(`${d}T12:00:00`).toLocaleDateString('en-US', { month: 'long', day: 'numeric' })

const columns: Column[] = [
  { key: 'client', title: 'Client' },
  { key: 'lead', title: 'Lead phrase' },
  { key: 'words', title: 'Home page: words now, words to write' },
  { key: 'position', title: 'Position' },
  { key: 'missed', title: 'Visits/mo missed', num: true },
  { key: 'measured', title: 'Last measured' },
  { key: 'next', title: 'Next' },
]
const nexts: Record<ShelfRow['next'], string> = {
  ground: 'Enter phrases',
  lineup: 'Find rivals',
  sheet: 'Measure',
  targets: 'See targets',
}

function position(row: ShelfRow): string {
  if (!row.searched) return 'not searched yet'
  const map = row.map_position ? `map ${row.map_position}` : 'not on the map'
  const organic = row.organic_position ? `organic ${row.organic_position}` : 'not found'
  return `${map} · ${organic}`
}

const open = (row: ShelfRow, name: StopName) => stopLocation(name, row.id, row.page_id)
</script>

<template>
  <AppHeader @help="$emit('help')" @find="$emit('find')" />
  <ShortWay />
  <main id="main">
    <div class="flow on-mid apart pad-4 edge">
      <h1 class="t-title flush">Clients</h1>
      <ActionButton to="/new">New client</ActionButton>
    </div>
    <NoticeLine v-if="error" :fault="error" class="edge" />
    <p v-else-if="isPending" class="soft edge">Loading clients…</p>
    <EmptyState
      v-else-if="!rows?.length"
      says="Your clients will be listed here, with the words on their pages, what is still to be written, and what to do next. Start with the line above, or add a client."
    />
    <div v-else class="scroll-x">
      <DataTable :columns="columns">
        <tbody>
          <tr v-for="row in rows" :key="row.id" class="on-mid">
            <td>
              <RouterLink class="slab bare of-two" :to="open(row, row.words === null ? 'ground' : 'sheet')">{{
                row.name
              }}</RouterLink>
              <span class="soft as-block">{{ [row.trade, row.place].filter(Boolean).join(', ') }}</span>
            </td>
            <td>{{ row.lead || '—' }}</td>
            <td>
              <div v-if="row.words !== null" class="flow on-mid gap-2 nowrap">
                <span class="figure">{{ count(row.words) }}</span>
                <TallyStrokes :words="row.words" :write="row.to_write ?? 0" :height="20" />
                <span v-if="row.to_write" class="figure pencil">+{{ count(row.to_write) }}</span>
                <span v-else class="soft">has enough</span>
              </div>
              <span v-else class="soft">not measured</span>
            </td>
            <td class="soft">{{ position(row) }}</td>
            <td class="num">
              <RouterLink
                v-if="typeof misses.get(row.id) === 'number'"
                :to="{ name: 'found', params: { client: row.id } }"
                :title="`about ${gain(misses.get(row.id)!)} visits a month that rivals get, an estimate`"
                data-missed
                >{{ count(Math.round(misses.get(row.id)!)) }}</RouterLink
              >
              <span v-else class="soft">—</span>
            </td>
            <td class="soft">{{ moment(row.measured_at) || '—' }}</td>
            <td>
              <RouterLink :to="open(row, row.next)">{{ nexts[row.next] }}</RouterLink>
            </td>
          </tr>
        </tbody>
      </DataTable>
    </div>
    <p
      v-if="lastBackup && rows?.length"
      class="soft t-small pad-4 edge"
      data-backups
      :title="lastBackup.file"
    >
      Last backup {{ day(lastBackup.day) }}; {{ plural(backups!.days.length, 'backup') }} kept beside the data
      file.
    </p>
  </main>
</template>

<style scoped>
td {
  height: var(--w8);
  vertical-align: middle;
}
</style>
