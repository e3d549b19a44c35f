<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { keepReceivedMutation, recognizeMutation } from '@/api/calls'
import type { HandedAs } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import AppHeader from '@/parts/AppHeader.vue'
import { bare, plural } from '@/parts/format'
import { pageName } from '@/parts/pages'
import { handOver } from './handed'
import { listOf, readMessage, type Page } from './message'

/** The tab that the bookmark opens: it takes a page over, says where it came from, and asks what it is. */
defineEmits<{ help: []; find: [] }>()
const router = useRouter()
const look = useMutation(recognizeMutation())
const keep = useMutation(keepReceivedMutation())

const page = ref<Page>()
const refused = ref('')
const as = ref<HandedAs>('rival_page')
const client = ref(0)
const own = ref(0) // the client's page that it is, 0 for a new one
const opener = window.opener as Window | null
const nonce = crypto.randomUUID()

useEventListener(window, 'message', (event: MessageEvent) => {
  if (page.value || refused.value) return // one page, once
  const said = readMessage(event, opener, nonce)
  if (!said) return
  if ('refused' in said) refused.value = said.refused
  else page.value = said.page
})
onMounted(() => {
  /* Whoever opened this tab learns that it is ready, and nothing else. */
  if (opener) opener.postMessage({ inktally: 'ready', nonce }, '*')
  else
    refused.value =
      'No tab has handed a page over. Press the bookmark on the page that you want to bring in. If you did, its site keeps its tabs apart: save the page and drop it on a page tab or on the Lineup.'
})

const body = computed(() => {
  const { key, origin, url, html } = page.value!
  return { key, origin, url, html }
})
watch(page, async (p) => {
  if (!p) return
  const found = await look.mutateAsync({ body: body.value }).catch(() => null)
  if (!found) return
  as.value = found.as
  const fits = found.clients.find((c) => c.own) ?? found.clients.find((c) => c.rival) ?? found.clients[0]
  client.value = fits?.id ?? 0
})
const found = computed(() => look.data.value)
const chosen = computed(() => found.value?.clients.find((c) => c.id === client.value))
const clients = computed(() => found.value?.clients.map((c) => ({ value: c.id, says: c.name })) ?? [])
const ownPages = computed(() => [
  { value: 0, says: 'a page of its own' },
  ...(chosen.value?.pages.map((p) => ({ value: p.id, says: pageName(p) })) ?? []),
])
watch(chosen, (c) => (own.value = c?.page_id ?? 0))

const choices = computed<{ as: HandedAs; name: string; says: string }[]>(() => [
  {
    as: 'client_page',
    name: 'the client’s page',
    says: chosen.value?.own ? 'it is on the client’s site' : '',
  },
  { as: 'rival_page', name: 'a rival’s page', says: chosen.value?.rival ? 'it is on a rival’s site' : '' },
  {
    as: 'results',
    name: 'a page of search results',
    says: found.value ? `${plural(found.value.entries, 'entry', 'entries')} read` : '',
  },
  { as: 'phrases', name: 'a list of phrases', says: '' },
  {
    as: 'figures',
    name: 'figures: links, listings, a map profile',
    says: found.value?.tables ? `${plural(found.value.tables, 'table')} read` : '',
  },
])

async function use() {
  const p = page.value!
  const params = { client: client.value }
  if (as.value === 'results') {
    handOver('lineup', new File([p.html], 'results from a tab.html', { type: 'text/html' }))
    return router.push({
      name: 'lineup',
      params,
      query: found.value?.query ? { phrase: found.value.query } : {},
    })
  }
  if (as.value === 'phrases') {
    handOver('book', new File([listOf(p.html)], 'list from a tab.csv', { type: 'text/csv' }))
    return router.push({ name: 'book', params })
  }
  if (as.value === 'figures') {
    const name = `${bare(p.url).split('/')[0]} (from a tab).html`
    handOver('standing', new File([p.html], name, { type: 'text/html' }))
    return router.push({ name: 'standing', params })
  }
  const kept = await keep
    .mutateAsync({
      path: { client: client.value },
      body: { ...body.value, as: as.value, page_id: as.value === 'client_page' ? own.value : 0 },
    })
    .catch(() => null)
  if (!kept) return
  const at = kept.page_id || chosen.value?.pages[0]?.id
  await router.push({ name: 'sheet', params: { ...params, page: at } })
}

const close = () => window.close()
</script>

<template>
  <AppHeader @help="$emit('help')" @find="$emit('find')" />
  <main id="main" class="receive pad-6 edge">
    <template v-if="refused">
      <h1 class="t-title anywhere">Nothing was handed over</h1>
      <p class="mistake anywhere" role="alert">{{ refused }}</p>
    </template>
    <p v-else-if="!page" class="soft anywhere" role="status">Waiting for the page…</p>
    <template v-else-if="look.error.value">
      <h1 class="t-title anywhere">This page cannot be taken</h1>
      <p class="mistake anywhere" role="alert">{{ look.error.value.detail }}</p>
    </template>
    <p v-else-if="!found" class="soft anywhere" role="status">Reading the page…</p>
    <form v-else data-received @submit.prevent="use">
      <h1 class="t-title anywhere">{{ found.title || page.title || 'A page without a title' }}</h1>
      <p class="anywhere">
        <span class="mono">{{ bare(page.url) }}</span>
        <span class="soft">
          · {{ plural(found.words, 'word') }} · handed over by
          {{ page.origin === 'null' ? 'a tab without an address' : page.origin }}</span
        >
      </p>
      <p class="soft anywhere">Nothing is kept yet, and nothing was sent anywhere else.</p>
      <fieldset class="pad-0 sides-0">
        <legend class="bold t-lead mb-2">What is it?</legend>
        <label v-for="c in choices" :key="c.as">
          <input v-model="as" type="radio" name="as" :value="c.as" />
          {{ c.name }} <span v-if="c.says" class="soft">{{ c.says }}</span>
        </label>
      </fieldset>
      <p v-if="found.clients.length" class="for anywhere flow gap-4">
        <label>
          for
          <ChoiceBox v-model="client" name="client" label="Client" :options="clients" />
        </label>
        <label v-if="as === 'client_page'">
          as
          <ChoiceBox v-model="own" name="page" label="Page" :options="ownPages" />
        </label>
      </p>
      <p v-else class="anywhere">
        There is no client yet to keep it for. <router-link to="/new">Make one</router-link> and press the
        bookmark again.
      </p>
      <NoticeLine :fault="keep.error.value" />
      <p class="acts anywhere flow gap-4 on-mid">
        <ActionButton main submit :disabled="!client || keep.isPending.value">
          {{ ['results', 'phrases', 'figures'].includes(as) ? 'Read it' : 'Keep it' }}
        </ActionButton>
        <ActionButton quiet @click="close">Discard</ActionButton>
      </p>
    </form>
  </main>
</template>

<style scoped>
.receive {
  max-width: var(--w90);
}
h1 {
  margin: 0 0 var(--s1);
}
p {
  margin: 0 0 var(--s2);
}
fieldset {
  border: 0;
  margin: var(--s4) 0;
}
legend {
  font-family: var(--slab);
}
fieldset label {
  display: block;
  padding: var(--s2) 0;
  border-bottom: var(--line);
}
select {
  max-width: var(--w35);
}
.acts {
  margin-top: var(--s5);
}
</style>
