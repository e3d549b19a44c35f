<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { undoImportMutation } from '@/api/calls'
import type { Book } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { count, moment, plural } from '@/parts/format'

/** The lists that were imported; the last one can be undone. */
defineProps<{ client: number; imports: Book['imports'] }>()
const undoImport = useMutation(undoImportMutation())

function came(i: Book['imports'][number]): string {
  const parts = [`${count(i.added)} added`]
  if (i.joined) parts.push(`${count(i.joined)} updated`)
  if (i.sites) parts.push(plural(i.sites, 'site'))
  return parts.join(', ')
}
</script>

<template>
  <section v-if="imports.length">
    <h2>Imported lists</h2>
    <ul>
      <li v-for="(i, at) in imports" :key="i.id">
        <span class="name" :title="i.name">{{ i.name }}</span>
        <span class="soft">{{ moment(i.taken_at) }}</span>
        <span class="soft what">{{ came(i) }}</span>
        <button
          v-if="!at"
          class="link"
          type="button"
          :disabled="undoImport.isPending.value"
          @click="undoImport.mutate({ path: { client: client, import: i.id } })"
        >
          Undo import
        </button>
      </li>
    </ul>
    <NoticeLine :fault="undoImport.error.value" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 15px;
  margin: 14px 0 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 12.5px;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.link {
  text-align: right;
}
</style>
