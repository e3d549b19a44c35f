<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ladderOptions } from '@/api/calls'
import type { Rung } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { duration, figure } from '@/parts/format'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import SideMargin from '@/ui/SideMargin.vue'

/** Rival by rival: who leads on which front, what passes it, and what no page can change. */
const props = defineProps<{ client: number; page: string; pages: Map<string, string> }>()
defineEmits<{ close: []; show: [id: string] }>()
const { data: ladder, error } = useQuery(() =>
  ladderOptions({ path: { client: props.client }, query: { page: props.page } }),
)
const columns: Column[] = [
  { key: 'front', unseen: 'Front' },
  { key: 'you', title: 'you', num: true },
  { key: 'they', title: 'they', num: true },
  { key: 'leads', title: 'leads' },
]
const known = (r: Rung) => r.steps.filter((s) => s.own !== null || s.theirs !== null)
const leads = (r: Rung) => r.steps.some((s) => s.content && (s.leader === 'rival' || s.leader === 'even'))
</script>

<template>
  <SideMargin
    :title="`Rival by rival: ${pages.get(page) ?? 'Home'}`"
    label="Ladder"
    data-ladder
    @close="$emit('close')"
  >
    <NoticeLine v-if="error" :fault="error" />
    <p v-else-if="ladder && !ladder.rungs.length" class="soft">
      No rival’s page stands beside this one. Take rivals in the lineup and measure them.
    </p>
    <p v-if="ladder?.enough" class="t-text">{{ ladder.enough }}</p>
    <section v-for="r in ladder?.rungs" :key="r.entry" class="ink-below" :data-rung="r.name">
      <h3 class="t-lead">{{ r.name }}</h3>
      <p v-if="r.reason" class="t-text" data-reason>{{ r.reason.says }}</p>
      <p v-else class="soft">It stands below you in this search.</p>
      <DataTable :columns="columns">
        <tbody>
          <tr v-for="s in known(r)" :key="s.front">
            <td>{{ s.name }}</td>
            <td class="num" :class="{ lead: s.leader === 'client' }">{{ figure(s.own) }}</td>
            <td class="num" :class="{ lead: s.leader === 'rival' }">{{ figure(s.theirs) }}</td>
            <td class="soft">
              {{ { client: 'you', rival: 'they', even: 'even', unknown: 'not known' }[s.leader] }}
            </td>
          </tr>
        </tbody>
      </DataTable>
      <p v-if="!leads(r)">You lead on everything that a page can change.</p>
      <template v-else>
        <p v-if="r.targets.length">
          <b>{{ duration(r.minutes) }}</b> to lead on everything that pages can change<template
            v-if="r.short.length"
            >, but for {{ r.short.join(', ').toLowerCase() }}</template
          >:
        </p>
        <p v-else class="soft">
          The targets that are left do not pass it on {{ r.short.join(', ').toLowerCase() }}.
        </p>
        <ol class="flush pad-0 sides-0">
          <li v-for="t in r.targets" :key="t.id" class="flow apart gap-2 t-text">
            <button class="quiet" type="button" @click="$emit('show', t.id)">
              <span class="soft">{{ t.name }}:</span> {{ t.says }}
            </button>
            <span class="num soft">{{ duration(t.minutes) }}</span>
          </li>
        </ol>
      </template>
      <p v-if="r.left.length" class="left">No page can change this: {{ r.left.join(', ').toLowerCase() }}.</p>
    </section>
  </SideMargin>
</template>

<style scoped>
section {
  --edge: 0;
}
section {
  padding: var(--s2) 0 var(--s3);
}
.lead {
  font-weight: 700;
}
p {
  margin: var(--s2) 0 var(--s0);
}
li button {
  text-align: left;
  padding: var(--s1) 0;
}
li .num {
  white-space: nowrap;
}
.left {
  color: var(--stamp);
}
</style>
