<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { besideOptions, chooseBesideMutation, readPageMutation } from '@/api/calls'
import type { Column, Sheet } from '@/api/types'
import { computed, ref } from 'vue'
import { bare, count } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** Which page of a rival stands beside the client's page: the one that was found, another one, or none. */
const props = defineProps<{ sheet: Sheet; column: Column; client: number }>()
const page = () => props.sheet.page.id
const { data, error } = useQuery(() => besideOptions({ path: { client: props.client, page: page() } }))
const chooseBeside = useMutation(chooseBesideMutation())
const readPage = useMutation(readPageMutation())
const undo = useUndo()
const typed = ref('')

const here = computed(() => data.value?.find((b) => b.entry_id === props.column.entry_id))
const others = computed(() => here.value?.others.filter((p) => p.url !== here.value?.page?.url) ?? [])

/** Takes an address, none for an empty one, and what the program finds for null. */
async function choose(url: string | null) {
  const was = here.value
  const before = was?.chosen ? (was.page?.url ?? '') : null
  const put = (to: string | null) =>
    chooseBeside.mutateAsync({
      path: { client: props.client, page: page() },
      body: { entry_id: props.column.entry_id, url: to },
    })
  const ok = await put(url).catch(() => null)
  if (!ok) return
  typed.value = ''
  undo.offer(`${props.column.name}: ${url ? bare(url) : url === '' ? 'no such page' : 'automatic'}`, () =>
    put(before),
  )
  const now = ok.find((b) => b.entry_id === props.column.entry_id)?.page
  if (now && now.url && !others.value.some((p) => p.url === now.url))
    await readPage
      .mutateAsync({ path: { client: props.client }, body: { url: now.url, mode: '' } })
      .catch(() => null)
}
</script>

<template>
  <div v-if="here" data-beside>
    <p v-if="here.page" class="now">
      <a :href="here.page.url" target="_blank" rel="noreferrer">{{
        here.page.title || bare(here.page.url)
      }}</a>
      <span class="mono soft">{{ bare(here.page.url) }}</span>
      <span class="soft">{{ here.chosen ? 'chosen by you' : here.reason || 'found in the search' }}</span>
    </p>
    <p v-else class="now">
      <b>{{
        here.chosen
          ? 'You said that it has no such page.'
          : 'It has no such page, as far as its site is known.'
      }}</b>
    </p>
    <p v-if="here.runner_up" class="mb-2 flow gap-3">
      Next best:
      <ActionButton quiet @click="choose(here.runner_up.url)">
        {{ here.runner_up.title || bare(here.runner_up.url) }}
      </ActionButton>
    </p>
    <p class="mb-2 flow gap-3">
      <ActionButton v-if="here.page" quiet @click="choose('')">It has no such page</ActionButton>
      <ActionButton v-if="here.chosen" quiet @click="choose(null)">Automatic</ActionButton>
    </p>
    <form class="typed flow gap-2 at-end" @submit.prevent="choose(typed)">
      <input
        v-model="typed"
        class="field mono"
        name="beside_address"
        aria-label="Address of the comparable page"
        placeholder="address of another page"
      />
      <ActionButton submit :disabled="!typed.trim() || chooseBeside.isPending.value"> Use </ActionButton>
    </form>
    <p
      v-for="e in [error, chooseBeside.error.value, readPage.error.value].filter(Boolean)"
      :key="e!.detail"
      class="mistake"
      role="alert"
    >
      {{ e!.detail }}
    </p>
    <h3 class="t-text">{{ here.surveyed ? 'All pages of its site' : 'Its site was not surveyed yet' }}</h3>
    <ul class="lines">
      <li v-for="p in others" :key="p.url">
        <button class="quiet choice to-left" type="button" :title="p.url" @click="choose(p.url)">
          {{ p.title || bare(p.url) }}
          <span class="soft">{{ [p.kind, p.service, p.place].filter(Boolean).join(' · ') }}</span>
        </button>
        <span class="num soft">{{ count(p.words) }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.now > * {
  display: block;
}
.now a {
  font-family: var(--slab);
  font-weight: 600;
  font-size: var(--lead);
}
.now {
  margin: 0 0 var(--s2);
}
.typed .press {
  padding: var(--s1) var(--s3);
}
.choice .soft {
  display: block;
  font-size: var(--small);
}
.choice:hover {
  text-decoration: underline;
}
</style>
