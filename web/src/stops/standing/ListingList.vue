<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { RouterLink } from 'vue-router'
import { listingsOptions, sayPartsMutation } from '@/api/calls'
import type { ListingCheck, ListingEntry } from '@/api/types'
import { duration } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import ActionButton from '@/ui/ActionButton.vue'
import DataTable from '@/ui/DataTable.vue'
import NoticeLine from '@/ui/NoticeLine.vue'

/** Directories by business: each field beside what should stand there, and those that do not list the client. */
const props = defineProps<{ client: number }>()
const { data, error } = useQuery(() => listingsOptions({ path: { client: props.client } }))
const say = useMutation(sayPartsMutation())
const undo = useUndo()
const columns = [
  { key: 'directory', title: 'directory', width: 'w26', narrow: 'w20' },
  { key: 'name', title: 'name' },
  { key: 'address', title: 'address' },
  { key: 'phone', title: 'phone', width: 'w20', narrow: 'w18' },
  { key: 'hours', title: 'hours', width: 'w20', narrow: 'w18' },
  { key: 'site', title: 'website' },
]
const missing = [
  { key: 'tick', unseen: 'done', width: 'w8' },
  { key: 'directory', title: 'directory to be listed in', width: 'w26', narrow: 'w20' },
  { key: 'why', title: 'why' },
  { key: 'time', title: 'time', num: true, width: 'w9' },
]
const check = (e: ListingEntry, field: string): ListingCheck | undefined =>
  e.checks.find((c) => c.field === field)

async function tick(e: ListingEntry) {
  const part = (state: ListingEntry['state']) => ({ said: [{ kind: 'list' as const, key: e.key, state }] })
  const path = { client: props.client }
  const ok = await say
    .mutateAsync({ path, body: part(e.state === 'done' ? 'open' : 'done') })
    .catch(() => null)
  if (ok)
    undo.offer(e.state === 'done' ? 'Open again' : 'Ticked off', () =>
      say.mutateAsync({ path, body: part(e.state) }),
    )
}
const why = (e: ListingEntry) =>
  [
    e.position ? `holds place ${e.position} of a search: in your plan already` : '',
    `lists ${e.rivals.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ')
</script>

<template>
  <section v-if="data" aria-label="Listings">
    <p class="flow wrap gap-4 lines-1 on-base pad-1 edge flush">
      <span class="soft">As it should stand:</span>
      <span>{{ data.business.name }}</span>
      <span>{{
        data.business.hidden ? 'address not shown' : data.business.address || 'address not known'
      }}</span>
      <span>{{ data.business.phones[0] || 'phone not known' }}</span>
      <span>{{ data.business.hours || 'hours not known' }}</span>
      <span class="mono">{{ data.business.site || 'no website yet' }}</span>
      <RouterLink class="soft" :to="{ name: 'ground', params: { client } }">Change</RouterLink>
      <ActionButton quiet class="push" :href="`/api/clients/${client}/standing/listings.csv`"
        >Save what to do as CSV</ActionButton
      >
    </p>
    <NoticeLine :fault="say.error.value ?? error" class="edge" />
    <DataTable v-if="data.listed.length" :columns="columns" fixed>
      <tbody>
        <tr v-for="e in data.listed" :key="e.key" :data-directory="e.key">
          <th scope="row" class="plain">
            <a v-if="e.page" :href="e.page" target="_blank" rel="noreferrer">{{ e.name }}</a>
            <template v-else>{{ e.name }}</template>
            <span v-if="e.twice" class="under mistake">stands there twice</span>
            <span v-if="e.found" class="under soft">found by the search for its name, not checked</span>
          </th>
          <td v-for="c in columns.slice(1)" :key="c.key">
            <template v-if="check(e, c.key)?.verdict === 'differs'">
              <span class="mistake anywhere">{{ check(e, c.key)!.theirs }}</span>
              <span class="under pencil">{{ check(e, c.key)!.own || 'should not be shown' }}</span>
            </template>
            <span v-else-if="check(e, c.key)?.verdict === 'agrees'" class="soft"
              >agrees<span v-if="check(e, c.key)!.note" class="under">{{ check(e, c.key)!.note }}</span></span
            >
            <span v-else-if="check(e, c.key)?.verdict === 'not_there'" class="soft">not there</span>
          </td>
        </tr>
      </tbody>
    </DataTable>
    <DataTable v-if="data.missing.length" :columns="missing" fixed>
      <tbody>
        <tr
          v-for="e in data.missing"
          :key="e.key"
          :data-missing="e.key"
          :class="{ struck: e.state === 'done' }"
        >
          <td>
            <input
              type="checkbox"
              :checked="e.state === 'done'"
              :aria-label="`${e.name} is done`"
              @change="tick(e)"
            />
          </td>
          <th scope="row" class="plain">{{ e.name }}</th>
          <td class="soft">{{ why(e) }}</td>
          <td class="num nowrap">{{ e.minutes ? duration(e.minutes) : '' }}</td>
        </tr>
      </tbody>
    </DataTable>
  </section>
</template>
