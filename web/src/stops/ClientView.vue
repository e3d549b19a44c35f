<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { groundOptions, lineupOptions, measureMutation, planOptions } from '@/api/calls'
import { useRun } from '@/api/progress'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useTitle } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useProgress } from '@/api/progress'
import AppHeader from '@/parts/AppHeader.vue'
import { useCommands } from '@/parts/keys'
import PageStrip from '@/parts/PageStrip.vue'
import { pageName } from '@/parts/pages'
import { handedOver } from './handoff/documents'
import { pageKey, stopLocation, stops, type StopName } from '@/parts/stops'

defineEmits<{ help: []; find: [] }>()

const route = useRoute()
const router = useRouter()
const client = () => Number(route.params.client)
const { data: ground, error } = useQuery(() => groundOptions({ path: { client: client() } }))
const { data: lineup } = useQuery(() => lineupOptions({ path: { client: client() } }))
const { data: run } = useRun(client)
const measure = useMutation(measureMutation())
useProgress(client)

/* The pages, the phrase book and what sites are found for are leaves of the ground, all pages one of the sheet. */
const stop = computed(() => (leafOf[String(route.name)] ?? route.name) as StopName)
const leafOf: Record<string, StopName> = {
  site: 'ground',
  book: 'ground',
  found: 'ground',
  overview: 'sheet',
  yardstick: 'targets',
  outline: 'targets',
  images: 'targets',
  draft: 'targets',
}
const page = computed(() => Number(route.params.page) || ground.value?.pages[0]?.id || 0)
/* Targets and hand-off are about the pages to make too, which have no id. */
const planned = computed(() => stop.value === 'targets' || stop.value === 'hand-off')
const { data: plan } = useQuery(() => ({
  ...planOptions({ path: { client: client() } }),
  enabled: planned.value,
}))
const tabs = computed(() => {
  const own = (ground.value?.pages ?? []).map((p) => ({ key: pageKey(p.id), page: p }))
  return planned.value ? (plan.value?.pages ?? own) : own
})
/* An outline and a draft are those of one page, and so is a brief. */
const ofOnePage = computed(() => route.name === 'outline' || route.name === 'draft')
const tab = computed(() => {
  if (ofOnePage.value || stop.value === 'hand-off')
    return String(route.query.page ?? '') || tabs.value[0]?.key || ''
  if (stop.value === 'targets') return String(route.query.page ?? '')
  return route.name === 'overview' ? '' : pageKey(page.value)
})
const paged = computed(() => {
  if (stop.value === 'hand-off') return handedOver(String(route.query.document ?? '')).ofPage
  return (
    route.name !== 'yardstick' &&
    route.name !== 'images' &&
    (stop.value === 'sheet' || stop.value === 'targets')
  )
})

const inked = computed<Record<StopName, boolean>>(() => {
  const phrases = (ground.value?.phrases.length ?? 0) > 0
  const rivals = lineup.value?.entries.some((e) => e.taken && e.words !== null) ?? false
  const read = ground.value?.pages.some((p) => p.words !== null) ?? false
  return {
    ground: phrases,
    lineup: (lineup.value?.entries.length ?? 0) > 0,
    sheet: read || rivals,
    targets: phrases && (read || rivals),
    'hand-off': phrases && read,
  }
})

const goTo = (name: StopName) => router.push(stopLocation(name, client(), page.value))
useCommands([
  ...stops.map((s, i) => ({ key: String(i + 1), says: `Go to ${s.label}`, run: () => goTo(s.name) })),
  {
    key: 'm',
    says: 'Measure: read all pages again',
    run: () => measure.mutate({ path: { client: client() } }),
  },
])
/* What was refused because pages were being read is no more so when that is over, or elsewhere. */
watch([() => run.value?.state, () => route.fullPath], () => measure.reset())
const viewName = computed(() => {
  const of = tabs.value.find((t) => t.key === tab.value)
  return [paged.value && of && pageName(of.page), route.meta.title].filter(Boolean).join(', ')
})
useTitle(() => [viewName.value, ground.value?.name, 'Ink Tally'].filter(Boolean).join(' – '))
</script>

<template>
  <AppHeader
    :ground="ground"
    :page="page"
    :stop="stop"
    :inked="inked"
    @help="$emit('help')"
    @find="$emit('find')"
  >
    <h1 v-if="!route.meta.headed" class="unseen">{{ viewName }}</h1>
  </AppHeader>
  <PageStrip
    v-if="paged && ground"
    :client="client()"
    :pages="tabs"
    :page="tab"
    :stop="stop"
    :leaf="ofOnePage ? String(route.name) : ''"
    :all="stop === 'targets' && plan ? String(plan.open) : ''"
  />
  <NoticeLine :fault="measure.error.value" class="pad-2 edge" />
  <main v-if="error" id="main" class="pad-2 edge">
    <p class="mistake">{{ error.detail }}</p>
    <router-link to="/">All clients</router-link>
  </main>
  <router-view v-else-if="ground" :key="client()" :client="client()" :page="page" :ground="ground" />
</template>
