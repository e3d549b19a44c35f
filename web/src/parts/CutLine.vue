<script setup lang="ts">
import { count } from './format'

/** Tells that a list is not shown whole. */
defineProps<{
  shown: number
  of: number
  /** What is listed, in the plural. */
  what: string
}>()
</script>

<template>
  <p v-if="shown < of" class="soft mb-2" data-cut>
    The first {{ count(shown) }} of {{ count(of) }} {{ what }} are shown; all of them are counted.
  </p>
</template>
