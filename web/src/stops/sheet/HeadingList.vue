<script setup lang="ts">
import type { Column } from '@/api/types'
import { count } from '@/parts/format'

/** The outline of a page, with the copy words under each heading. */
defineProps<{ column: Column }>()
</script>

<template>
  <p v-if="!column.headings.length" class="soft">This page has no headings.</p>
  <ol v-else data-document>
    <li v-for="(h, i) in column.headings" :key="i" :style="{ paddingLeft: `${(h.level - 1) * 16}px` }">
      <span class="level soft">H{{ h.level }}</span>
      <span class="text" data-heading>{{ h.text }}</span>
      <span class="num soft" :title="`${count(h.within)} including the sections below it`">{{
        count(h.words)
      }}</span>
    </li>
  </ol>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  gap: 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.text {
  flex: 1;
}
.level {
  width: 20px;
}
</style>
