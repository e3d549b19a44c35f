<script setup lang="ts">
import { RouterLink } from 'vue-router'

/** The leaves of the ground. */
defineProps<{ client: number }>()
</script>

<template>
  <nav class="leaves" aria-label="Ground">
    <RouterLink :to="{ name: 'ground', params: { client } }">Business</RouterLink>
    <RouterLink :to="{ name: 'site', params: { client } }">Pages</RouterLink>
    <RouterLink :to="{ name: 'book', params: { client } }">Phrase book</RouterLink>
    <RouterLink :to="{ name: 'found', params: { client } }">Found for</RouterLink>
  </nav>
</template>

<style scoped>
.leaves {
  display: flex;
  gap: 16px;
}
a {
  white-space: nowrap;
  text-decoration: none;
  color: var(--ink-soft);
  padding: 2px 0;
}
.router-link-active {
  color: var(--ink);
  font-weight: 600;
  border-bottom: 2px solid var(--ink);
}
</style>
