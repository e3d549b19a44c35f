<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { ignoreRobotsMutation, readPageMutation } from '@/api/calls'
import { useBusy, useRun } from '@/api/progress'
import type { Column } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { bare } from '@/parts/format'
import PastePage from '../ground/PastePage.vue'
import { cameIn, redirected, scriptOnly } from './reading'

/** Whose page a column is, how it came in, and what can be done where that failed. */
const props = defineProps<{
  column: Column
  kind: string // of the client's page
  client: number
  page: number
  narrow: boolean
}>()
defineEmits<{ beside: [] }>()
const { data: run } = useRun(() => props.client)
const busy = useBusy(() => props.client)
const ignoreRobots = useMutation(ignoreRobotsMutation())
const readPage = useMutation(readPageMutation())
const refused = computed(() => props.column.failure?.code === 'robots_refuse')

const under = computed(() => {
  const c = props.column
  const parts = [c.role === 'client' ? props.kind : c.standing]
  if (c.reading_id) parts.push(cameIn(c))
  if (c.robots_ignored) parts.push('robots.txt ignored')
  if (!c.reading_id && !c.failure && !c.none) parts.push(c.url ? 'not read yet' : 'no page yet')
  return parts.join(' · ')
})

const byScript = computed(() => scriptOnly(props.column))
const from = computed(() => redirected(props.column))
</script>

<template>
  <div class="head">
    <a
      v-if="column.url"
      class="slab"
      :href="column.url"
      target="_blank"
      rel="noreferrer"
      :title="`${column.name}\n${bare(column.url)}`"
      >{{ column.name }}</a
    >
    <span v-else class="slab" :title="column.name">{{ column.name }}</span>
    <span class="under" :title="under">{{ under }}</span>
    <span v-if="from" class="under" :title="from">{{ from }}</span>
    <span v-if="column.failure" class="mistake" role="alert">{{ column.failure.says }}</span>
    <ActionButton
      v-if="refused && run"
      quiet
      class="as-block to-left"
      :disabled="busy"
      @click="ignoreRobots.mutate({ path: { client: client, run: run.id }, body: { url: column.url } })"
    >
      Read it anyway
    </ActionButton>
    <button
      v-if="column.role === 'rival' && kind !== 'home'"
      class="quiet under beside as-block"
      type="button"
      :title="column.chosen ? 'chosen by you' : column.like"
      @click="$emit('beside')"
    >
      {{
        column.none ? 'has no such page' : column.like || (column.chosen ? 'chosen by you' : 'another page')
      }}
    </button>
    <span v-if="column.unlike" class="under">another kind of page: not compared</span>
    <span v-if="column.set_aside" class="under">much longer than the others: not counted</span>
    <template v-if="byScript">
      <span
        class="stamp script nowrap"
        title="A script builds this page: its words are only there in a browser"
        >{{ narrow ? 'script' : 'built by script' }}</span
      >
      <span v-if="column.note && !narrow" class="told">{{ column.note.says }}</span>
      <ActionButton
        v-if="column.url && !narrow"
        quiet
        class="as-block to-left"
        :disabled="busy"
        @click="readPage.mutate({ path: { client: client }, body: { url: column.url, mode: 'rendered' } })"
      >
        Read as rendered
      </ActionButton>
    </template>
    <template v-else>
      <span v-for="w in column.warnings" :key="w.code" class="told">{{ w.says }}</span>
      <span v-if="column.note" class="told">{{ column.note.says }}</span>
    </template>
    <NoticeLine :fault="readPage.error.value" />
    <PastePage
      v-if="!narrow && (column.failure || column.note || (!column.reading_id && column.role === 'client'))"
      :client="client"
      :page="page"
      :entry="column.entry_id"
    />
  </div>
</template>

<style scoped>
.head a,
.head > .slab {
  text-decoration: none;
  display: block;
  line-height: 1.2;
  overflow-wrap: anywhere;
}
.head a:hover {
  text-decoration: underline;
}
.head .under {
  line-height: 1.3;
  overflow-wrap: anywhere;
}
.beside {
  max-width: 100%;
  text-decoration: underline;
  text-underline-offset: var(--s1);
  text-decoration-color: var(--rule);
}
.told,
.mistake {
  display: block;
  white-space: normal;
  font-size: var(--small);
  font-weight: 400;
  line-height: 1.3;
  margin: var(--s1) 0;
}
</style>
