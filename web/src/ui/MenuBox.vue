<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'

/** Places to go to, behind what is pressed for them. */
defineProps<{ label: string; items: { key: string | number; says: string; to: RouteLocationRaw }[] }>()
</script>

<template>
  <v-menu>
    <template #activator="{ props: opens }"><slot :opens="opens" /></template>
    <nav :aria-label="label">
      <ul class="papered pad-2 sides-0">
        <li v-for="i in items" :key="i.key">
          <router-link class="as-block bare pad-2 sides-3" :to="i.to">{{ i.says }}</router-link>
        </li>
      </ul>
    </nav>
  </v-menu>
</template>

<style scoped>
ul {
  border: var(--ink-line);
  min-width: var(--w30);
}
a:hover,
a:focus-visible {
  background: var(--band);
}
</style>
