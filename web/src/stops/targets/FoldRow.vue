<script setup lang="ts">
import type { GainUnit, Plan } from '@/api/types'
import { duration, gain } from '@/parts/format'

/** The small lines of a page, as one. */
defineProps<{ fold: Plan['folded'][number]; unit: GainUnit; open: boolean }>()
defineEmits<{ toggle: [] }>()
</script>

<template>
  <div class="fold line-below" role="row">
    <span role="gridcell"
      ><button class="quiet soft full to-left" type="button" :aria-expanded="open" @click="$emit('toggle')">
        {{ open ? '▾' : '▸' }} {{ fold.says }} ·
        <template v-if="fold.gain > 0">+{{ gain(fold.gain) }}{{ unit === 'share' ? '%' : '' }} · </template
        >{{ duration(fold.minutes) }}
      </button></span
    >
  </div>
</template>

<style scoped>
button {
  padding: var(--s2) var(--edge) var(--s2) calc(var(--edge) + var(--s10));
}
</style>
