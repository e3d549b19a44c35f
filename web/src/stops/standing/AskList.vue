<script setup lang="ts">
import { keepPreviousData, useMutation, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { judgeDomainsMutation, linkDomainsOptions, sayPartsMutation } from '@/api/calls'
import type { LinkDomain, LinkDomains } from '@/api/types'
import { count, duration } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import ActionButton from '@/ui/ActionButton.vue'
import DataTable from '@/ui/DataTable.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useRowKeys } from './rowKeys'

/** Sites that link to a rival and not to the client, by what is done about them; told otherwise by keys. */
const props = defineProps<{ client: number }>()
type Verdict = LinkDomains['counts'][number]['verdict']
const verdict = ref<Verdict>('get')
const from = ref(0)
const { data, error } = useQuery(() => ({
  ...linkDomainsOptions({
    path: { client: props.client },
    query: { verdict: verdict.value, from: from.value },
  }),
  placeholderData: keepPreviousData,
}))
const judge = useMutation(judgeDomainsMutation())
const say = useMutation(sayPartsMutation())
const undo = useUndo()

const names: Record<Verdict, string> = {
  get: 'to ask',
  listing: 'directories',
  doubtful: 'doubtful',
  leave: 'left out',
  own: 'your own doubtful ones',
}
const columns = computed(() => [
  { key: 'tick', unseen: 'done', width: 'w6' },
  { key: 'site', title: verdict.value === 'get' ? 'site to ask' : 'site', width: 'w30', narrow: 'w28' },
  { key: 'kind', title: 'what it is', width: 'w18', narrow: 'w16' },
  { key: 'why', title: 'why' },
  ...(verdict.value === 'get'
    ? [{ key: 'ask', title: 'link text to ask for', width: 'w24', narrow: 'w20' }]
    : []),
  { key: 'time', title: 'time', num: true, width: 'w9' },
  { key: 'verdicts', unseen: 'verdict', width: 'w22' },
])
const per = 200
const shows = (v: Verdict) => ((verdict.value = v), (from.value = 0))

async function tell(d: LinkDomain, v: 'get' | 'doubtful' | 'leave' | '') {
  const path = { client: props.client }
  const had = d.by_hand ? (d.verdict as 'get' | 'doubtful' | 'leave') : ''
  const ok = await judge.mutateAsync({ path, body: { domains: [d.name], verdict: v } }).catch(() => null)
  const says = v
    ? `${d.name}: ${v === 'get' ? 'to ask' : v} for all clients`
    : `${d.name}: judged by the rules again`
  if (ok) undo.offer(says, () => judge.mutateAsync({ path, body: { domains: [d.name], verdict: had } }))
}
async function tick(d: LinkDomain) {
  const path = { client: props.client }
  const part = (state: 'open' | 'done') => ({
    said: [{ kind: verdict.value === 'own' ? ('doubt' as const) : ('link' as const), key: d.name, state }],
  })
  const to = d.state === 'done' ? 'open' : 'done'
  const ok = await say.mutateAsync({ path, body: part(to) }).catch(() => null)
  if (ok)
    undo.offer(to === 'done' ? 'Ticked off' : 'Open again', () =>
      say.mutateAsync({ path, body: part(d.state === 'done' ? 'done' : 'open') }),
    )
}
const keys = useRowKeys(() => data.value?.list ?? [], {
  g: (d) => tell(d, 'get'),
  d: (d) => tell(d, 'doubtful'),
  l: (d) => tell(d, 'leave'),
  x: tick,
})
</script>

<template>
  <section aria-label="Links">
    <p class="flow wrap gap-4 lines-1 on-mid pad-1 edge flush">
      <button
        v-for="c in data?.counts"
        :key="c.verdict"
        class="quiet"
        :class="{ bold: c.verdict === verdict }"
        type="button"
        :aria-pressed="c.verdict === verdict"
        @click="shows(c.verdict)"
      >
        {{ names[c.verdict] }} {{ count(c.count) }}
      </button>
      <span class="soft push"
        >on a row: <kbd class="kbd">g</kbd> ask, <kbd class="kbd">d</kbd> doubtful,
        <kbd class="kbd">l</kbd> leave out, <kbd class="kbd">x</kbd> done</span
      >
    </p>
    <NoticeLine :fault="judge.error.value ?? say.error.value ?? error" class="edge" />
    <p v-if="data && !data.total" class="soft pad-2 edge flush">
      {{
        data.counts.length
          ? 'None of these.'
          : 'No list of links is known. Import one for a rival: its links, one a row.'
      }}
    </p>
    <div v-else-if="data" class="scroll-x">
      <DataTable class="asked" :columns="columns" fixed>
        <tbody>
          <tr
            v-for="(d, i) in data.list"
            :key="d.name"
            :ref="keys.row(i)"
            tabindex="0"
            :data-domain="d.name"
            :class="{ struck: d.state === 'done' }"
            @keydown="keys.press($event, i)"
          >
            <td>
              <input
                v-if="verdict === 'get' || verdict === 'own'"
                type="checkbox"
                :checked="d.state === 'done'"
                :aria-label="`${d.name} is done`"
                @change="tick(d)"
              />
            </td>
            <td>
              <a v-if="d.page" class="mono anywhere" :href="d.page" target="_blank" rel="noreferrer">{{
                d.name
              }}</a>
              <span v-else class="mono anywhere">{{ d.name }}</span>
              <span class="under soft of-two">{{ d.title }}</span>
            </td>
            <td>{{ d.kind_is }}</td>
            <td>
              {{ d.why }}<span v-if="d.seen" class="under mistake">{{ d.seen }}</span>
              <span class="under soft one-line" :title="d.rivals.join(', ')">{{ d.rivals.join(', ') }}</span>
            </td>
            <td v-if="verdict === 'get'" class="pencil anywhere">{{ d.ask }}</td>
            <td class="num nowrap">{{ d.minutes ? duration(d.minutes) : '' }}</td>
            <td class="nowrap">
              <span class="flow gap-3">
                <ActionButton v-if="d.verdict !== 'get'" quiet @click="tell(d, 'get')">Ask</ActionButton>
                <ActionButton v-if="d.verdict !== 'doubtful'" quiet @click="tell(d, 'doubtful')"
                  >Doubtful</ActionButton
                >
                <ActionButton v-if="d.verdict !== 'leave'" quiet @click="tell(d, 'leave')"
                  >Leave out</ActionButton
                >
                <ActionButton v-if="d.by_hand" quiet @click="tell(d, '')">By the rules</ActionButton>
              </span>
            </td>
          </tr>
        </tbody>
      </DataTable>
    </div>
    <p v-if="data && data.total > per" class="flow gap-4 pad-2 edge flush">
      <ActionButton quiet :disabled="!from" @click="from = Math.max(0, from - per)">Earlier</ActionButton>
      <span class="soft"
        >{{ count(from + 1) }} to {{ count(Math.min(data.total, from + per)) }} of
        {{ count(data.total) }}</span
      >
      <ActionButton quiet :disabled="from + per >= data.total" @click="from += per">Later</ActionButton>
    </p>
  </section>
</template>

<style scoped>
.asked {
  min-width: var(--w125);
}
</style>
