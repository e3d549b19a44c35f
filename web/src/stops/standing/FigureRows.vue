<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import type { Standing, StandingCell } from '@/api/types'
import { figure } from '@/parts/format'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import AskList from './AskList.vue'
import { type Opened, standsAt } from './figures'
import ListingList from './ListingList.vue'
import ProfileList from './ProfileList.vue'

/** The figures of the client and its rivals, group by group; each group opens to what is in it. */
const props = defineProps<{ client: number; standing: Standing; opened?: Opened }>()
const emit = defineEmits<{ open: [cell: Opened] }>()
const lists = { listings: ListingList, profile: ProfileList, links: AskList }
const open = ref<string[]>([])
const toggle = (key: string) =>
  (open.value = open.value.includes(key) ? open.value.filter((k) => k !== key) : [...open.value, key])

const rivals = computed(() => props.standing.sites.slice(1))
/* Beside the open margin there is room for totals only. */
const columns = computed<Column[]>(() => [
  {
    key: 'label',
    unseen: 'figure',
    width: props.opened ? 'w20' : 'w28',
    narrow: props.opened ? 'w18' : 'w24',
  },
  { key: 'client', width: props.opened ? 'w13' : 'w20', narrow: props.opened ? 'w10' : 'w16' },
  { key: 'target', width: props.opened ? 'w13' : 'w20', narrow: props.opened ? 'w11' : 'w16' },
  ...rivals.value.map((s) => ({ key: `site-${s.domain}` })),
])
/* What a figure was before, where that is another. */
const former = (c: StandingCell) =>
  !props.opened && c.former.length && c.former[0]!.value !== c.value
    ? `was ${figure(c.former[0]!.value)}`
    : ''
/* The recorded search for the client's own name, else one to be made. */
const nameSearch = computed(() =>
  props.standing.name_search
    ? { lineup: String(props.standing.name_search) }
    : { phrase: props.standing.sites[0]!.name },
)
const isOpen = (row: string, domain: string) => props.opened?.row === row && props.opened.domain === domain
</script>

<template>
  <div class="scroll-x" data-standing>
    <template v-for="(g, at) in standing.groups" :key="g.key">
      <DataTable class="rows" :columns="columns" fixed lined :headless="at > 0" :data-group="g.key">
        <template #client>
          <b class="slab of-two own">{{ standing.sites[0]!.name }}</b>
          <span class="plain">{{ standsAt(standing.sites[0]!) }}</span>
        </template>
        <template #target
          ><b class="slab as-block">Target</b><span class="plain">to lead the local rivals</span></template
        >
        <template v-for="s in rivals" :key="s.domain" #[`site-${s.domain}`]>
          <b class="slab as-block rival" :title="`${s.name}, ${s.domain}`">{{ s.name }}</b>
          <span class="plain">{{ standsAt(s) }}</span>
        </template>
        <tbody>
          <tr class="kind">
            <th scope="rowgroup">
              <button
                v-if="g.opens || g.key === 'profile'"
                class="quiet slab bold"
                type="button"
                :aria-expanded="open.includes(g.key)"
                @click="toggle(g.key)"
              >
                {{ open.includes(g.key) ? '–' : '+' }} {{ g.name }}
              </button>
              <span v-else class="slab bold">{{ g.name }}</span>
            </th>
            <td :colspan="columns.length - 1" class="soft">{{ g.says }}</td>
          </tr>
          <tr v-for="r in g.rows" :key="r.key" :data-row="r.key">
            <th scope="row" class="plain">{{ r.name }}</th>
            <td v-if="r.key === 'own_name'" :colspan="columns.length - 1">
              <RouterLink
                :to="{ name: 'lineup', params: { client }, query: nameSearch }"
                :title="r.cells[0]!.source"
                >{{ r.cells[0]!.text || 'Search for it' }}</RouterLink
              >
            </td>
            <template v-for="(c, i) in r.cells" v-else :key="i">
              <td :class="{ rival: i > 0, banded: isOpen(r.key, standing.sites[i]!.domain) }">
                <button
                  v-if="r.figure"
                  class="quiet full to-left"
                  type="button"
                  :class="{ 'slab bold t-lead': i === 0 }"
                  :title="c.source || 'not known: press to type it'"
                  @click="emit('open', { row: r.key, domain: standing.sites[i]!.domain })"
                >
                  <span class="unseen">{{ r.name }} of {{ standing.sites[i]!.name }}: </span
                  >{{ c.text || '–' }}
                  <span v-if="former(c)" class="soft plain t-small">{{ former(c) }}</span>
                </button>
                <span v-else :class="{ 'slab bold t-lead': i === 0 }">{{ c.text }}</span>
              </td>
              <td v-if="i === 0" class="target">{{ r.target }}</td>
            </template>
          </tr>
        </tbody>
      </DataTable>
      <component :is="lists[g.key]" v-if="open.includes(g.key)" :client="client" />
    </template>
    <ul v-if="standing.notes.length" class="pad-2 edge flush" data-notes>
      <li v-for="n in standing.notes" :key="n">{{ n }}</li>
    </ul>
  </div>
</template>

<style scoped>
.own {
  color: var(--ink);
}
.rows {
  min-width: var(--w90);
}
</style>
