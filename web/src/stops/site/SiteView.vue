<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { siteOptions, surveyMutation } from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { Ground } from '@/api/types'
import { computed } from 'vue'
import EditFault from '@/parts/EditFault.vue'
import { bare, moment, plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
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
  <main>
    <div class="title">
      <h1>Ground</h1>
      <GroundLeaves :client="client" />
      <span class="soft" data-surveyed>{{ says }}</span>
      <button
        v-if="site?.url || site?.rivals.length"
        class="press main"
        type="button"
        :disabled="busy || survey.isPending.value"
        @click="survey.mutate({ path: { client: client } })"
      >
        {{ site?.surveyed_at ? 'Survey again' : 'Survey the site' }}
      </button>
    </div>
    <p v-for="m in mistakes" :key="m" class="mistake said" role="alert">{{ m }}</p>
    <EditFault class="said" :fault="edits.change.error.value" :again="edits.again.value" />
    <p v-if="site?.failure" class="mistake said" role="alert">{{ site.failure.says }}</p>
    <div v-if="site" class="halves">
      <section class="pages">
        <table>
          <colgroup>
            <col class="c-name" />
            <col class="c-for" />
            <col class="c-words" />
            <col class="c-strokes" />
            <col class="c-own" />
            <col />
            <col class="c-end" />
          </colgroup>
          <thead>
            <tr class="soft">
              <th scope="col">page</th>
              <th scope="col">what it is for</th>
              <th scope="col" class="num">words</th>
              <th scope="col">and to write</th>
              <th scope="col" class="num" title="Copy words that no other pages repeat">own</th>
              <th scope="col">noticed on it</th>
              <th scope="col"><span class="unseen">Change</span></th>
            </tr>
          </thead>
          <tbody v-for="b in branches" :key="b.kind" :data-kind="b.kind">
            <tr v-if="b.kind !== 'home'" class="kind">
              <th colspan="7" scope="rowgroup">
                <span class="slab">{{ kindNames[b.kind] }}</span>
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
        </table>
        <form class="add" @submit.prevent="edits.addAll" @focusout.stop>
          <textarea
            v-model="edits.addresses.value"
            class="field mono"
            name="page_addresses"
            rows="1"
            aria-label="Addresses of pages"
            placeholder="more pages: their addresses, one per line"
          ></textarea>
          <button
            class="press"
            type="submit"
            :disabled="!edits.addresses.value.trim() || edits.add.isPending.value"
          >
            Add
          </button>
        </form>
      </section>
      <aside>
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
.title .press {
  margin-left: auto;
}
.said {
  margin: 0;
  padding: 8px var(--edge);
  border-bottom: 1px solid var(--rule);
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
}
aside {
  border-left: 1px solid var(--rule);
  padding: 10px 18px 30px;
}
aside :deep(h2) {
  font-size: 16.5px;
  margin: 14px 0 4px;
}
table {
  border-collapse: collapse;
  table-layout: fixed;
  width: 100%;
}
.c-name {
  width: 190px;
}
.c-for {
  width: 212px;
}
.c-words {
  width: 58px;
}
.c-strokes {
  width: 164px;
}
.c-own {
  width: 48px;
}
.c-end {
  width: 74px;
}
th {
  font-weight: 400;
  text-align: left;
  padding: 7px 10px;
  border-bottom: 1px solid var(--ink);
}
th.num {
  text-align: right;
}
th:first-child,
:deep(td:first-child) {
  padding-left: var(--edge);
}
.kind th {
  background: var(--band);
  padding-top: 5px;
  padding-bottom: 5px;
  border-top: 1px solid var(--ink);
}
.kind .slab {
  font-size: 15px;
  margin-right: 8px;
}
:deep(td) {
  padding: 7px 10px;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
:deep(.name a),
:deep(.name .slab) {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 15px;
  text-decoration-color: var(--rule);
  overflow-wrap: anywhere;
}
:deep(.name .mono),
:deep(.under),
:deep(.why) {
  display: block;
  font-size: 12px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
:deep(.under) {
  color: var(--pencil);
}
:deep(select) {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
  max-width: 100%;
}
:deep(.words .figure) {
  font-size: 16px;
}
:deep(.strokes) {
  white-space: nowrap;
}
:deep(.strokes svg) {
  margin-right: 8px;
}
:deep(.found .line) {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  overflow: hidden;
  overflow-wrap: anywhere;
}
:deep(.name > span) {
  display: block;
  width: fit-content;
  max-width: 100%;
}
:deep(.end) {
  text-align: right;
}
.add {
  display: flex;
  gap: 10px;
  align-items: end;
  padding: 12px 18px 24px var(--edge);
}
.add textarea {
  min-width: 0;
  field-sizing: content;
  max-height: 140px;
}
.add .press {
  padding: 3px 12px;
}
@media (max-width: 1100px) {
  .halves {
    grid-template-columns: minmax(0, 1fr) 216px;
  }
  .c-name {
    width: 162px;
  }
  .c-for {
    width: 128px;
  }
  .c-words {
    width: 52px;
  }
  .c-strokes {
    width: 158px;
  }
  .c-own {
    width: 42px;
  }
  .c-end {
    width: 66px;
  }
  :deep(td),
  th {
    padding-left: 7px;
    padding-right: 7px;
  }
}
</style>
