<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'

/** What belongs to the targets: the list, the outline of a page, image names, a draft, the yardstick. */
defineProps<{ client: number }>()
const route = useRoute()
const query = computed(() => (route.query.page ? { page: String(route.query.page) } : {}))
const leaves = [
  { name: 'targets', label: 'Targets' },
  { name: 'outline', label: 'Outline' },
  { name: 'draft', label: 'Draft' },
  { name: 'images', label: 'Images' },
  { name: 'yardstick', label: 'Yardstick' },
]
</script>

<template>
  <nav class="leaves" aria-label="Targets">
    <router-link
      v-for="l in leaves"
      :key="l.name"
      :to="{ name: l.name, params: { client }, query }"
      :class="{ here: route.name === l.name }"
      >{{ l.label }}</router-link
    >
  </nav>
</template>

<style scoped>
.leaves {
  display: flex;
  gap: 12px;
}
a {
  white-space: nowrap;
  text-decoration: none;
  color: var(--ink-soft);
  padding: 1px 0;
}
.here {
  color: var(--ink);
  font-weight: 600;
  border-bottom: 2px solid var(--ink);
}
</style>
