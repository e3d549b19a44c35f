<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { backupsOptions, shelfOptions } from '@/api/calls'
import type { ShelfRow } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import AppHeader from '@/parts/AppHeader.vue'
import { count, moment, plural } from '@/parts/format'
import { stopLocation, type StopName } from '@/parts/stops'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import ShortWay from './ShortWay.vue'

defineEmits<{ help: []; find: [] }>()

const { data: rows, error, isPending } = useQuery(shelfOptions())
const { data: backups } = useQuery(backupsOptions())
const lastBackup = computed(() => backups.value?.days[0])
const day = (d: string) =>
  new Date(`${d}T12:00:00`).toLocaleDateString('en-US', { month: 'long', day: 'numeric' })

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
  <main class="shelf">
    <div class="title">
      <h1>Clients</h1>
      <RouterLink class="press" to="/new">New client</RouterLink>
    </div>
    <NoticeLine v-if="error" :fault="error" />
    <p v-else-if="isPending" class="soft">Loading clients…</p>
    <p v-else-if="!rows?.length" class="empty">
      Your clients will be listed here, with the words on their pages, what is still to be written, and what
      to do next. Start with the line above, or add a client.
    </p>
    <div v-else class="rows">
      <table>
        <thead>
          <tr>
            <th>Client</th>
            <th>Lead phrase</th>
            <th>Home page: words now, words to write</th>
            <th>Position</th>
            <th>Last measured</th>
            <th>Next</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>
              <RouterLink class="slab name" :to="open(row, row.words === null ? 'ground' : 'sheet')">{{
                row.name
              }}</RouterLink>
              <span class="soft">{{ [row.trade, row.place].filter(Boolean).join(', ') }}</span>
            </td>
            <td>{{ row.lead || '—' }}</td>
            <td>
              <div v-if="row.words !== null" class="words">
                <span class="figure">{{ count(row.words) }}</span>
                <TallyStrokes :words="row.words" :write="row.to_write ?? 0" :height="20" />
                <span v-if="row.to_write" class="figure pencil">+{{ count(row.to_write) }}</span>
                <span v-else class="soft">has enough</span>
              </div>
              <span v-else class="soft">not measured</span>
            </td>
            <td class="soft">{{ position(row) }}</td>
            <td class="soft">{{ moment(row.measured_at) || '—' }}</td>
            <td>
              <RouterLink :to="open(row, row.next)">{{ nexts[row.next] }}</RouterLink>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="lastBackup && rows?.length" class="soft backups" data-backups :title="lastBackup.file">
      Last backup {{ day(lastBackup.day) }}; {{ plural(backups!.days.length, 'backup') }} kept beside the data
      file.
    </p>
  </main>
</template>

<style scoped>
.shelf {
  padding: 0 0 60px;
}
.title {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 18px var(--edge) 10px;
}
h1 {
  font-size: 22px;
  margin: 0;
}
.press {
  text-decoration: none;
}
.backups {
  margin: 18px 0 0;
  font-size: 12.5px;
}
.empty {
  padding: 8px var(--edge);
  max-width: 620px;
  font-size: 15px;
}
.mistake,
.shelf > .soft {
  padding: 0 var(--edge);
}
.rows {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-soft);
  border-bottom: 1px solid var(--ink);
  background: var(--band);
}
th,
td {
  padding: 7px 10px;
}
th:first-child,
td:first-child {
  padding-left: var(--edge);
}
td {
  border-bottom: 1px solid var(--rule);
  height: 58px;
}
td:first-child span {
  display: block;
}
.name {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
  font-size: 16px;
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
.words {
  display: flex;
  align-items: center;
  gap: 10px;
  white-space: nowrap;
}
.words .figure {
  font-size: 17px;
}
</style>
