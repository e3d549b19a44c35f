<script setup lang="ts">
import type { Step } from '@/api/types'
import { count, visits } from '@/parts/format'

/** Firms beside one another, one figure or both figures of each line in large type. */
defineProps<{ step: Step }>()
</script>

<template>
  <div
    v-for="(r, i) in step.rows"
    :key="i"
    class="row grid on-base gap-6 line-below"
    :class="[r.role, { both: r.theirs }]"
  >
    <div class="t-title">
      <span :class="r.theirs ? 'you' : 'slab'">{{ r.name }}</span>
      <span v-if="r.note" class="as-block soft t-head">{{ r.note }}</span>
    </div>
    <template v-if="r.theirs">
      <span class="figure t-title to-right you">{{ r.own }}</span>
      <span class="figure t-title to-right">{{ r.theirs }}</span>
    </template>
    <span v-else class="figure large to-right">{{
      step.kind === 'visits' ? visits(r.value) : count(r.value)
    }}</span>
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: minmax(0, 1fr) var(--w24);
  padding: var(--s4) 0;
}
.row.both {
  grid-template-columns: minmax(0, 1fr) var(--w24) var(--w24);
  padding: var(--s2) 0;
}
.large {
  font-size: var(--figure);
  line-height: 1.2;
}
.rival {
  color: var(--rival);
}
.you {
  color: var(--ink);
}
.target {
  color: var(--pencil);
}
</style>
