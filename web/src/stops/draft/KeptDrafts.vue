<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { draftOptions, draftsOptions, removeDraftMutation, restoreDraftMutation } from '@/api/calls'
import type { Draft } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { moment, plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** The drafts that were kept as versions of a page. The newest is a column of the page's sheet. */
const props = defineProps<{ client: number; page: string }>()
const emit = defineEmits<{ open: [text: string] }>()
const { data: drafts } = useQuery(() => ({
  ...draftsOptions({ path: { client: props.client }, query: { page: props.page } }),
  enabled: props.page !== '',
}))
const remove = useMutation(removeDraftMutation())
const restore = useMutation(restoreDraftMutation())
const undo = useUndo()
const cache = useQueryClient()

/* A page that is not made yet has no sheet. */
const sheet = computed(() => Number(props.page.match(/^p(\d+)$/)?.[1] ?? 0))

async function open(d: Draft) {
  const kept = await cache
    .fetchQuery(draftOptions({ path: { client: props.client, draft: d.id } }))
    .catch(() => null)
  if (kept) emit('open', kept.text ?? '')
}
async function drop(d: Draft) {
  const ok = await remove.mutateAsync({ path: { client: props.client, draft: d.id } }).then(
    () => true,
    () => false,
  )
  if (ok)
    undo.offer('Removed the draft', () =>
      restore.mutateAsync({ path: { client: props.client, draft: d.id } }),
    )
}
</script>

<template>
  <section v-if="drafts?.length" class="kept">
    <h2>
      Saved drafts
      <router-link v-if="sheet" :to="{ name: 'sheet', params: { client, page: sheet } }"
        >See on the sheet</router-link
      >
    </h2>
    <NoticeLine :fault="remove.error.value" />
    <div v-for="d in drafts" :key="d.id" class="line grid gap-3 pad-1 sides-0 line-below" :data-draft="d.id">
      <span class="soft">{{ moment(d.taken_at) }}</span>
      <span class="num">{{ plural(d.words, 'word') }}</span>
      <span class="soft name one-line" :title="d.name">{{ d.name }}</span>
      <ActionButton quiet @click="open(d)">Open</ActionButton>
      <ActionButton quiet @click="drop(d)">Remove</ActionButton>
    </div>
  </section>
</template>

<style scoped src="./report.css"></style>
<style scoped>
h2 a {
  float: right;
  font: 400 var(--text)/var(--ruled) var(--v-font-body);
}
.line {
  grid-template-columns: var(--w15) var(--w11) minmax(0, 1fr) auto auto;
}
</style>
