<script setup lang="ts">
import { computed } from 'vue'
import type { Column } from '@/api/client'
import { useChanges, useRun } from '@/api/queries'
import { bare } from '@/parts/format'
import PastePage from '../ground/PastePage.vue'
import { cameIn, drawnByScript, ledOn } from './roads'

/** Whose page a column is, how it came in, and what can be done where that failed. */
const props = defineProps<{
  column: Column
  kind: string
  client: number
  page: number
  narrow: boolean
}>()
const { data: run } = useRun(() => props.client)
const { overrule, readPage } = useChanges(() => props.client)
const unwelcome = computed(() => props.column.error.includes('robots.txt'))

const under = computed(() => {
  const c = props.column
  const parts = [c.role === 'client' ? props.kind : c.standing]
  if (c.reading_id) parts.push(cameIn(c))
  if (c.overruled) parts.push('robots.txt overruled')
  if (!c.reading_id && !c.error) parts.push(c.url ? 'not read yet' : 'no page yet')
  return parts.join(' · ')
})

const byScript = computed(() => drawnByScript(props.column))
const led = computed(() => ledOn(props.column))
</script>

<template>
  <div class="head">
    <a
      v-if="column.url"
      class="slab"
      :href="column.url"
      target="_blank"
      rel="noreferrer"
      :title="bare(column.url)"
      >{{ column.name }}</a
    >
    <span v-else class="slab">{{ column.name }}</span>
    <span class="under" :title="under">{{ under }}</span>
    <span v-if="led" class="under" :title="led">{{ led }}</span>
    <span v-if="column.error" class="mistake" role="alert">{{ column.error }}</span>
    <button
      v-if="unwelcome && run"
      class="link"
      type="button"
      @click="overrule.mutate({ run: run.id, url: column.url })"
    >
      Read it all the same
    </button>
    <span v-if="column.unlike" class="under">a home page, no mark</span>
    <span v-if="column.set_aside" class="under">set aside: too far off to count</span>
    <template v-if="byScript">
      <span class="stamp script" title="Drawn by script: its words are only there in a browser">{{
        narrow ? 'script' : 'drawn by script'
      }}</span>
      <span v-if="column.note && !narrow" class="told">{{ column.note }}</span>
      <button
        v-if="column.url && !narrow"
        class="link"
        type="button"
        @click="readPage.mutate({ url: column.url, way: 'browser' })"
      >
        Read in a browser
      </button>
    </template>
    <template v-else>
      <span v-for="w in column.warnings" :key="w" class="told">{{ w }}</span>
      <span v-if="column.note" class="told">{{ column.note }}</span>
    </template>
    <span v-if="readPage.error.value" class="mistake" role="alert">{{ readPage.error.value.message }}</span>
    <PastePage
      v-if="!narrow && (column.error || column.note || (!column.reading_id && column.role === 'client'))"
      :client="client"
      :page="page"
      :entry="column.entry_id"
    />
  </div>
</template>

<style scoped>
.head a {
  text-decoration: none;
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.head a:hover {
  text-decoration: underline;
}
.head .under {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.script {
  white-space: nowrap;
}
.link {
  display: block;
  text-align: left;
}
.told,
.mistake {
  display: block;
  white-space: normal;
  font-size: 12.5px;
  font-weight: 400;
  line-height: 1.3;
  margin: 3px 0;
}
</style>
