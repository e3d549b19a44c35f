<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
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
    <h2 class="t-lead">Imported lists</h2>
    <ul class="flush pad-0 sides-0">
      <li v-for="(i, at) in imports" :key="i.id" class="grid gap-2 lines-0 pad-1 sides-0 line-below t-small">
        <span class="name one-line" :title="i.name">{{ i.name }}</span>
        <span class="soft">{{ moment(i.taken_at) }}</span>
        <span class="soft what">{{ came(i) }}</span>
        <ActionButton
          v-if="!at"
          quiet
          class="to-right"
          :disabled="undoImport.isPending.value"
          @click="undoImport.mutate({ path: { client: client, import: i.id } })"
        >
          Undo import
        </ActionButton>
      </li>
    </ul>
    <NoticeLine :fault="undoImport.error.value" />
  </section>
</template>

<style scoped>
li {
  grid-template-columns: minmax(0, 1fr) auto;
}
</style>
