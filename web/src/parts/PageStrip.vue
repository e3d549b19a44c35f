<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { PageInfo } from '@/api/client'
import type { StopName } from './stops'
import TallyStrokes from './TallyStrokes.vue'

/** One index tab for each page of the client; those not there yet in pencil. */
defineProps<{ client: number; pages: PageInfo[]; page: number; stop: StopName }>()

function label(p: PageInfo): string {
  return p.kind.charAt(0).toUpperCase() + p.kind.slice(1)
}
</script>

<template>
  <nav class="strip no-print" aria-label="Pages">
    <RouterLink
      v-for="p in pages"
      :key="p.id"
      :to="{ name: stop, params: { client, page: p.id } }"
      :class="{ here: p.id === page, new: p.words === null }"
      :aria-current="p.id === page ? 'page' : undefined"
    >
      {{ label(p) }}
      <TallyStrokes :words="p.words ?? 0" :write="p.to_write ?? 0" :height="11" :most="5" />
    </RouterLink>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: flex-end;
  gap: 4px;
  height: var(--strip);
  padding: 0 var(--edge);
  background: var(--band);
  border-bottom: 1px solid var(--ink);
}
a {
  display: flex;
  gap: 10px;
  align-items: center;
  height: 29px;
  padding: 0 12px;
  text-decoration: none;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-bottom: 0;
}
.new {
  border-style: dashed;
  border-color: var(--pencil);
  color: var(--pencil);
}
.here {
  height: 33px;
  border: 1px solid var(--ink);
  border-bottom: 0;
  font-weight: 600;
  margin-bottom: -1px;
  padding-bottom: 1px;
}
</style>
