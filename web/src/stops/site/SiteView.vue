<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { siteOptions, surveyMutation } from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { Ground } from '@/api/types'
import { computed } from 'vue'
import EditFault from '@/parts/EditFault.vue'
import { bare, moment, plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import FirstAddress from '../ground/FirstAddress.vue'
import GroundLeaves from '../ground/GroundLeaves.vue'
import MakeRow from './MakeRow.vue'
import MissedList from './MissedList.vue'
import OfferList from './OfferList.vue'
import PageRow from './PageRow.vue'
import RivalSites from './RivalSites.vue'
import { byUrgency, foundElsewhere, foundOn, kindNames, tree } from './tree'
import { usePageEdits } from './usePageEdits'

/** The site's pages as a tree by kind, those to make in pencil; beside it what the survey noticed. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: site, error } = useQuery(() => siteOptions({ path: { client: props.client } }))
const survey = useMutation(surveyMutation())
const busy = useBusy(() => props.client)
const edits = usePageEdits(
  () => props.client,
  () => props.ground,
)

useCommands([
  {
    key: '',
    says: 'Survey the site',
    run: () => !busy.value && survey.mutate({ path: { client: props.client } }),
  },
])

const columns: Column[] = [
  { key: 'page', title: 'page', width: 'w24', narrow: 'w20' },
  { key: 'for', title: 'what it is for', width: 'w26', narrow: 'w18' },
  { key: 'words', title: 'words', num: true, width: 'w8' },
  { key: 'strokes', title: 'and to write', width: 'w20', narrow: 'w20' },
  { key: 'own', title: 'own', num: true, hint: 'Copy words that no other pages repeat', width: 'w7' },
  { key: 'found', title: 'noticed on it' },
  { key: 'change', unseen: 'Change', width: 'w9' },
]
const branches = computed(() => (site.value ? tree(site.value.pages, site.value.to_make) : []))
const findings = computed(() => byUrgency(site.value?.findings ?? []))
const elsewhere = computed(() => foundElsewhere(findings.value, site.value?.pages ?? []))
const mistakes = computed(() =>
  [error.value, survey.error.value, edits.add.error.value, edits.remove.error.value].flatMap((e) =>
    e ? [e.detail] : [],
  ),
)
const says = computed(() => {
  const s = site.value
  if (!s) return ''
  if (!s.url) return 'No site yet: these are the pages to make.'
  if (!s.surveyed_at) return 'The pages of the site have not been looked for yet.'
  const unread = new Set(s.missed.map((m) => m.url))
  const pages = s.pages.filter((p) => p.url && !unread.has(p.url)).length
  const read = s.missed.length ? `${pages} of ${pages + s.missed.length} pages read` : plural(pages, 'page')
  return `Surveyed ${moment(s.surveyed_at)}: ${read}, ${plural(s.to_make.length, 'page')} missing`
})
</script>

<template>
  <main id="main">
    <div class="title">
      <h1>Ground</h1>
      <GroundLeaves :client="client" />
      <span class="soft" data-surveyed>{{ says }}</span>
      <ActionButton
        v-if="site?.url || site?.rivals.length"
        main
        class="push"
        :disabled="busy || survey.isPending.value"
        @click="survey.mutate({ path: { client: client } })"
      >
        {{ site?.surveyed_at ? 'Survey again' : 'Survey the site' }}
      </ActionButton>
    </div>
    <p v-for="m in mistakes" :key="m" class="mistake pad-2 edge line-below" role="alert">{{ m }}</p>
    <EditFault class="pad-2 edge line-below" :fault="edits.change.error.value" :again="edits.again.value" />
    <p v-if="site?.failure" class="mistake pad-2 edge line-below" role="alert">{{ site.failure.says }}</p>
    <FirstAddress
      v-if="site && !site.url"
      class="pad-3 edge washed ink-below"
      :client="client"
      :ground="ground"
    />
    <div v-if="site" class="halves grid">
      <section class="scroll-x">
        <DataTable :columns="columns" fixed>
          <tbody v-for="b in branches" :key="b.kind" :data-kind="b.kind">
            <tr v-if="b.kind !== 'home'" class="kind">
              <th colspan="7" scope="rowgroup">
                <span class="slab mr-2">{{ kindNames[b.kind] }}</span>
                <span class="soft">
                  {{
                    [b.pages.length, b.toMake.length && `${b.toMake.length} to make`]
                      .filter(Boolean)
                      .join(', ')
                  }}
                </span>
              </th>
            </tr>
            <PageRow
              v-for="p in b.pages"
              :key="p.id"
              :page="p"
              :client="client"
              :ground="ground"
              :findings="foundOn(findings, p.url)"
              :edits="edits"
            />
            <MakeRow v-for="m in b.toMake" :key="m.service + m.place" :page="m" :edits="edits" />
          </tbody>
        </DataTable>
        <form class="add flow gap-2 at-end pad-3 edge" @submit.prevent="edits.addAll" @focusout.stop>
          <textarea
            v-model="edits.addresses.value"
            class="field mono slim"
            name="page_addresses"
            rows="1"
            aria-label="Addresses of pages"
            placeholder="more pages: their addresses, one per line"
          ></textarea>
          <ActionButton submit :disabled="!edits.addresses.value.trim() || edits.add.isPending.value">
            Add
          </ActionButton>
        </form>
      </section>
      <aside class="line-left pad-2 sides-4">
        <MissedList v-if="site.missed.length" :client="client" :missed="site.missed" :edits="edits" />
        <section v-if="elsewhere.length">
          <h2>Noticed on the site</h2>
          <ul class="lines">
            <li v-for="f in elsewhere" :key="f.type + f.url + f.says">
              <span>
                <span v-if="f.first" class="stamp">fix first</span>
                <span class="mono">{{ bare(f.url) }}</span> {{ f.says }}
              </span>
            </li>
          </ul>
        </section>
        <OfferList :client="client" :ground="ground" :site="site" />
        <RivalSites :client="client" :rivals="site.rivals" />
      </aside>
    </div>
  </main>
</template>

<style scoped src="../ground/title.css"></style>
<style scoped>
.halves {
  grid-template-columns: minmax(0, 1fr) var(--w35);
}
.add textarea {
  field-sizing: content;
  max-height: var(--w18);
}
@media (max-width: 1100px) {
  .halves {
    grid-template-columns: minmax(0, 1fr) var(--w26);
  }
}
</style>
