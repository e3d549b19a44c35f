<script setup lang="ts">
import type { MenuItem } from '@/api/types'
import { bare } from '@/parts/format'

/** A menu of a page, with what is folded in it. */
defineProps<{ items: MenuItem[] }>()
</script>

<template>
  <ul class="flush line-left">
    <li v-for="(item, i) in items" :key="i" class="pad-0 sides-0">
      <span :title="bare(item.address)">{{ item.text || 'no text' }}</span>
      <MenuTree v-if="item.items.length" :items="item.items" />
    </li>
  </ul>
</template>

<style scoped>
ul {
  padding: 0 0 0 var(--s3);
}
</style>
