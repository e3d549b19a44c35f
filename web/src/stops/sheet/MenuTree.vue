<script setup lang="ts">
import type { MenuItem } from '@/api/types'
import { bare } from '@/parts/format'

/** A menu of a page, with what is folded in it. */
defineProps<{ items: MenuItem[] }>()
</script>

<template>
  <ul>
    <li v-for="(item, i) in items" :key="i">
      <span :title="bare(item.address)">{{ item.text || 'no text' }}</span>
      <MenuTree v-if="item.items.length" :items="item.items" />
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0 0 0 14px;
  border-left: 1px solid var(--rule);
}
li {
  padding: 2px 0;
}
</style>
