<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { askFiguresMutation, standingOptions, undoFiguresMutation } from '@/api/calls'
import { useUndo } from '@/parts/undo'
import ActionButton from '@/ui/ActionButton.vue'
import EmptyState from '@/ui/EmptyState.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import ListLeaf from '../ground/ListLeaf.vue'
import FigureImport from './FigureImport.vue'
import FigureMargin from './FigureMargin.vue'
import FigureRows from './FigureRows.vue'
import { type Opened, figureOf } from './figures'
import StandingTargets from './StandingTargets.vue'

/** Links, listings and map profile beside the rivals': the ground's last leaf. */
const props = defineProps<{ client: number }>()
const { data: standing, error } = useQuery(() => standingOptions({ path: { client: props.client } }))
const ask = useMutation(askFiguresMutation())
const takeBack = useMutation(undoFiguresMutation())
const undo = useUndo()
/* The figure that the margin is open on. */
const opened = ref<Opened>()
const figure = computed(() => standing.value && opened.value && figureOf(standing.value, opened.value))

async function askSources() {
  const kept = await ask.mutateAsync({ path: { client: props.client } }).catch(() => null)
  if (kept) offer(kept.says, kept.import)
}
function offer(says: string, id: number) {
  undo.offer(`${says} imported`, () => takeBack.mutateAsync({ path: { client: props.client, import: id } }))
}
</script>

<template>
  <ListLeaf
    :client="client"
    stop="standing"
    takes="Import figures"
    accept=".csv,.tsv,.txt,.xlsx,.json,.html,.htm"
    :class="{ 'beside-margin': figure }"
  >
    <template #tools>
      <ActionButton v-if="standing?.asks" quiet :disabled="ask.isPending.value" @click="askSources">
        {{ ask.isPending.value ? 'Getting figures…' : 'Get figures' }}
      </ActionButton>
    </template>
    <template #import="{ file, done }">
      <FigureImport :client="client" :file="file" @done="done(file)" @kept="offer" />
    </template>
    <NoticeLine :fault="ask.error.value ?? error" class="edge" />
    <p v-if="!standing && !error" class="soft pad-3 edge flush">Loading…</p>
    <template v-else-if="standing">
      <EmptyState
        v-if="!standing.known"
        says="Links, listings and the map profile will stand here beside the rivals’. Nothing is known yet: import the figures that you have (CSV, XLSX, JSON, a saved page), paste a table, or press a cell and type."
      />
      <div class="grow low scroll-y" tabindex="0" role="region" aria-label="Standing">
        <FigureRows
          :client="client"
          :standing="standing"
          :opened="opened"
          @open="(cell) => (opened = cell)"
        />
        <StandingTargets v-if="standing.targets.length" :client="client" :standing="standing" />
      </div>
    </template>
    <FigureMargin
      v-if="figure && opened"
      :key="`${opened.domain} ${opened.row}`"
      :client="client"
      :figure="figure"
      @close="opened = undefined"
    />
  </ListLeaf>
</template>

<style scoped>
.beside-margin {
  padding-right: var(--margin);
}
@media (max-width: 760px) {
  .beside-margin {
    padding-right: 0;
  }
}
</style>
