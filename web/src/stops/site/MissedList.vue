<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { readPageMutation } from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { ReadMode, Site } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { bare } from '@/parts/format'
import PastePage from '../ground/PastePage.vue'
import { waysOut } from './missed'
import type { usePageEdits } from './usePageEdits'

/** The pages that the survey knows of and could not read, each with its ways out: a click makes it the client's. */
const props = defineProps<{
  client: number
  missed: Site['missed']
  edits: ReturnType<typeof usePageEdits>
}>()
const readPage = useMutation(readPageMutation())
const reading = useBusy(() => props.client)
const busy = computed(() => reading.value || readPage.isPending.value || props.edits.add.isPending.value)
const pasting = ref({ url: '', page: 0 })

async function read(url: string, mode: ReadMode) {
  if (await props.edits.pageAt(url))
    await readPage.mutateAsync({ path: { client: props.client }, body: { url, mode } }).catch(() => null)
}

async function paste(url: string) {
  const page = await props.edits.pageAt(url)
  if (page) pasting.value = { url, page: page.id }
}
</script>

<template>
  <section data-missed>
    <h2>Not read</h2>
    <ul class="lines">
      <li v-for="m in missed" :key="m.url" :data-missed-page="bare(m.url)">
        <a class="mono" :href="m.url" target="_blank" rel="noreferrer" :title="`Open ${m.url}`">{{
          bare(m.url)
        }}</a>
        <span class="soft">{{ m.says }}</span>
        <PastePage
          v-if="pasting.url === m.url"
          :client="client"
          :page="pasting.page"
          started
          @closed="pasting = { url: '', page: 0 }"
        />
        <div v-else class="ways flow wrap gap-3 lines-0 mt-1">
          <ActionButton
            v-for="w in waysOut(m.reason)"
            :key="w.says"
            quiet
            :disabled="busy"
            :title="w.tells"
            @click="w.mode === undefined ? paste(m.url) : read(m.url, w.mode)"
          >
            {{ w.says }}
          </ActionButton>
        </div>
      </li>
    </ul>
    <NoticeLine :fault="readPage.error.value" />
  </section>
</template>

<style scoped>
.lines li {
  display: block;
}
.lines a,
.lines .soft {
  display: block;
  overflow-wrap: anywhere;
}
</style>
