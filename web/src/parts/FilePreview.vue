<script setup lang="ts">
import type { Problem } from '@/api/types'
import ActionButton from '@/ui/ActionButton.vue'
import NoticeLine from '@/ui/NoticeLine.vue'

/** A file before it is imported: while it is read, why it cannot be read, or what was read of it. */
defineProps<{
  label: string
  file: File
  reading: boolean
  unread: Problem | null
  /** Why the import failed. */
  fault: Problem | null
}>()
defineEmits<{ close: [] }>()
</script>

<template>
  <section class="pad-2 edge ink-below washed" :aria-label="label">
    <p v-if="unread" class="flush mistake" role="alert">
      {{ unread.detail }}
      <ActionButton quiet @click="$emit('close')">Close</ActionButton>
    </p>
    <p v-else-if="reading" class="flush soft">Reading {{ file.name }}…</p>
    <slot v-else />
    <NoticeLine :fault="fault" />
  </section>
</template>
