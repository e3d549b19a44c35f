<script setup lang="ts">
import type { Problem } from '@/api/types'

/** What failed, in the place where it happened, with a way out where there is one. */
defineProps<{ fault: Problem | null | undefined }>()
</script>

<template>
  <p v-if="fault" class="mistake" role="alert">
    {{ fault.detail }}
    <slot />
  </p>
</template>
