<script setup lang="ts">
import type { Column } from '@/api/types'
import CutLine from '@/parts/CutLine.vue'
import { count } from '@/parts/format'

/** The outline of a page, with the copy words under each heading. */
defineProps<{ column: Column }>()
</script>

<template>
  <CutLine :shown="column.headings.length" :of="column.heading_count" what="headings" />
  <p v-if="!column.headings.length" class="soft">This page has no headings.</p>
  <ol v-else class="flush pad-0 sides-0" data-document>
    <li
      v-for="(h, i) in column.headings"
      :key="i"
      class="flow gap-2 pad-1 sides-0 line-below"
      :style="{ paddingLeft: `calc(${h.level - 1} * var(--s4))` }"
    >
      <span class="level soft">H{{ h.level }}</span>
      <span class="text grow" data-heading>{{ h.text }}</span>
      <span class="num soft" :title="`${count(h.within)} including the sections below it`">{{
        count(h.words)
      }}</span>
    </li>
  </ol>
</template>

<style scoped>
.level {
  width: var(--s5);
}
</style>
