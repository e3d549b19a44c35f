<script setup lang="ts">
import { duration, plural } from '@/parts/format'

/** Where the hours end: what is above the line fits in them. */
defineProps<{
  hours: number
  /** Whether something stands above it, and below. */
  above: boolean
  below: boolean
  /** The minutes that the first target needs where none fits, else 0. */
  needs: number
}>()
</script>

<template>
  <div class="cut flow on-mid gap-3 pencil pad-1 edge nowrap" role="row" data-cut>
    <span role="gridcell">
      <template v-if="above || hours === 0">{{
        below
          ? `your ${plural(hours, 'hour')} ${hours === 1 ? 'ends' : 'end'} here`
          : `all of it fits in ${plural(hours, 'hour')}`
      }}</template>
      <template v-else-if="needs"
        >nothing fits in {{ plural(hours, 'hour') }}: the first needs {{ duration(needs) }}</template
      >
      <template v-else>not in {{ plural(hours, 'hour') }}</template>
    </span>
    <svg class="stiff" viewBox="0 0 80 10" width="80" height="10" aria-hidden="true">
      <path
        d="M0 6c10-8 18 6 28 0s18-6 28 0 16 4 24 0"
        fill="none"
        stroke="currentColor"
        stroke-width="1.3"
      />
    </svg>
    <i class="grow"></i>
  </div>
</template>

<style scoped>
.cut {
  height: var(--w4);
}
i {
  border-top: var(--thick-pencil-line);
}
</style>
