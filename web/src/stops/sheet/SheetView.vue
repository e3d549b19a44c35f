<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { measureMutation, sheetOptions } from '@/api/calls'
import { useRun } from '@/api/progress'
import type { Ground } from '@/api/types'
import EmptyState from '@/ui/EmptyState.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
import FirstAddress from '../ground/FirstAddress.vue'
import ProposalLine from '../ground/ProposalLine.vue'
import EvidenceMargin from './EvidenceMargin.vue'
import { pageKey, pageLocation } from '@/parts/stops'
import { useMargin } from './margin'
import SheetTable from './SheetTable.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const {
  data: sheet,
  error,
  isPending,
} = useQuery(() => sheetOptions({ path: { client: props.client, page: props.page } }))
const { data: run } = useRun(() => props.client)
const measure = useMutation(measureMutation())
const margin = useMargin()

const nothing = computed(
  () => sheet.value?.columns.every((c) => !c.reading_id && !c.failure && !c.none) ?? false,
)

useCommands([{ key: 'Escape', says: 'Close the evidence', run: () => !!margin.what.value && margin.close() }])
</script>

<template>
  <main id="main" class="sheet" :class="{ open: margin.what.value }">
    <NoticeLine v-if="error" :fault="error" class="pad-2 edge" />
    <p v-else-if="isPending" class="soft pad-2 edge">Loading the sheet…</p>
    <template v-else-if="sheet">
      <div v-if="nothing">
        <EmptyState
          v-if="run?.state === 'running'"
          :says="`Reading ${plural(run.items.length, 'page')}: ${run.done} done.`"
        />
        <EmptyState
          v-else-if="!ground.home_page && sheet.columns.length === 1"
          :says="`No page and no rivals yet. ${ground.name} starts with a new page.`"
        >
          <ActionButton main :to="{ name: 'lineup', params: { client } }">Find rivals</ActionButton>
          <router-link class="more" :to="pageLocation('targets', client, pageKey(page))"
            >See what the new page needs</router-link
          >
          <FirstAddress class="mt-5" :client="client" :ground="ground" />
        </EmptyState>
        <EmptyState
          v-else
          says="The client’s page and its rivals’ will be compared here: words, phrases, headings, image file names."
        >
          <NoticeLine :fault="measure.error.value" />
          <ActionButton main @click="measure.mutate({ path: { client: client } })"> Measure </ActionButton>
        </EmptyState>
      </div>
      <ProposalLine v-if="!nothing" :client="client" :ground="ground" />
      <SheetTable v-if="!nothing" :sheet="sheet" :client="client" :ground="ground" :margin="margin" />
      <EvidenceMargin
        v-if="margin.what.value"
        :sheet="sheet"
        :client="client"
        :page="page"
        :margin="margin"
      />
    </template>
  </main>
</template>

<style scoped>
.sheet.open {
  padding-right: var(--margin);
}
.press {
  text-decoration: none;
}
.more {
  margin-left: var(--s4);
}
@media (max-width: 760px) {
  .sheet.open {
    padding-right: 0;
  }
}
</style>
