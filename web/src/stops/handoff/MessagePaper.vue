<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import ActionButton from '@/ui/ActionButton.vue'
import PaperSheet from '@/ui/PaperSheet.vue'

/** A message to the owner, to copy into a letter. */
defineProps<{ message: string }>()
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <PaperSheet data-message>
    <p class="flush t-lead text">{{ message }}</p>
    <ActionButton main class="no-print mt-3" @click="copy(message)">{{
      copied ? 'Copied' : 'Copy the message'
    }}</ActionButton>
  </PaperSheet>
</template>

<style scoped>
.text {
  white-space: pre-line;
  line-height: 1.55;
}
</style>
