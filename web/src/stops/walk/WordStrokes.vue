<script setup lang="ts">
import type { Step } from '@/api/types'
import { count } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { useGrowing } from './useGrowing'

/** Words as strokes that grow: the client's, the best rival's, and what is to be written after the client's. */
defineProps<{ rows: Step['rows'] }>()
const share = useGrowing()
</script>

<template>
  <div class="rows">
    <div
      v-for="r in rows"
      :key="r.name"
      class="row grid on-mid gap-6 line-below"
      :class="r.role"
      :data-row-of="r.role"
    >
      <div>
        <b class="as-block slab t-title">{{ r.name }}</b>
        <span class="soft t-head">{{ r.note }}</span>
      </div>
      <span class="figure to-right">{{ count(r.value + r.write) }}</span>
      <TallyStrokes
        :words="Math.round(r.role === 'target' ? r.value : r.value * share)"
        :write="Math.round(r.write * share)"
        :tone="r.role === 'rival' ? 'rival' : 'ink'"
        :height="52"
        :most="6"
      />
    </div>
  </div>
</template>

<style scoped>
/* Strokes are held against one another: where there is little room they stand below, none is made smaller. */
.rows {
  container-type: inline-size;
}
.row {
  grid-template-columns: minmax(0, var(--w40)) var(--w16) minmax(0, 1fr);
  padding: var(--s5) 0;
}
.figure {
  font-size: var(--figure);
  line-height: 1.2;
}
.rival {
  color: var(--rival);
}
.target {
  color: var(--pencil);
}
@container (max-width: 760px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: var(--s2);
  }
}
</style>
