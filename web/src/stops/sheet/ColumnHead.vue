<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Column } from '@/api/client'
import { useChanges, useRun } from '@/api/queries'
import { bare, moment } from '@/parts/format'
import PastePage from '../ground/PastePage.vue'

/** Whose page a column is, and how its reading went. */
const props = defineProps<{ column: Column; kind: string; client: number; page: number }>()
const pasting = ref(false)
const { data: run } = useRun(() => props.client)
const { overrule } = useChanges(() => props.client)
const unwelcome = computed(() => props.column.error.includes('robots.txt'))

const under = computed(() => {
  const c = props.column
  const parts = [c.role === 'client' ? props.kind : c.standing]
  if (c.reading_id)
    parts.push(c.road === 'pasted' ? `pasted ${moment(c.taken_at)}` : `read ${moment(c.taken_at)}`)
  if (c.road.includes('overruled')) parts.push('robots.txt overruled')
  if (!c.reading_id && !c.error) parts.push(c.url ? 'not read yet' : 'no page yet')
  return parts.join(' · ')
})
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
    <span v-if="column.error" class="mistake" role="alert">{{ column.error }}</span>
    <button
      v-if="unwelcome && run"
      class="link"
      type="button"
      @click="overrule.mutate({ run: run.id, url: column.url })"
    >
      Read it all the same
    </button>
    <span v-if="column.set_aside" class="under">set aside: too far off to count</span>
    <span v-for="w in column.warnings" :key="w" class="under">{{ w }}</span>
    <PastePage
      v-if="column.error || (!column.reading_id && column.role === 'client') || pasting"
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
.mistake {
  display: block;
  white-space: normal;
  font-size: 12.5px;
  line-height: 1.3;
  margin: 3px 0;
}
</style>
