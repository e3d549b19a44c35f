<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Column } from '@/api/client'
import { bare, moment } from '@/parts/format'
import PastePage from '../ground/PastePage.vue'

/** Whose page a column is, and how its reading went. */
const props = defineProps<{ column: Column; kind: string; client: number; page: number }>()
const pasting = ref(false)

const under = computed(() => {
  const c = props.column
  const parts = [c.role === 'client' ? props.kind : c.standing]
  if (c.reading_id)
    parts.push(c.road === 'pasted' ? `pasted ${moment(c.taken_at)}` : `read ${moment(c.taken_at)}`)
  else if (!c.error) parts.push(c.url ? 'not read yet' : 'no page yet')
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
