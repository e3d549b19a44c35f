<script setup lang="ts">
import type { GainUnit, Plan } from '@/api/types'
import { duration, gain } from '@/parts/format'

/** The small lines of a page, as one. */
defineProps<{ fold: Plan['folded'][number]; unit: GainUnit; open: boolean }>()
defineEmits<{ toggle: [] }>()
</script>

<template>
  <div class="fold" role="row">
    <span role="gridcell"
      ><button class="quiet soft" type="button" :aria-expanded="open" @click="$emit('toggle')">
        {{ open ? '▾' : '▸' }} {{ fold.says }} ·
        <template v-if="fold.gain > 0">+{{ gain(fold.gain) }}{{ unit === 'share' ? '%' : '' }} · </template
        >{{ duration(fold.minutes) }}
      </button></span
    >
  </div>
</template>

<style scoped>
.fold {
  border-bottom: 1px solid var(--rule);
}
button {
  width: 100%;
  text-align: left;
  padding: 6px var(--edge) 6px calc(var(--edge) + 42px);
}
</style>
