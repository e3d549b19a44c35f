<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Problem } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'

/** Why an edit failed; one that was refused for a change elsewhere can be saved again over it. */
defineProps<{ fault: Problem | null | undefined; again?: () => Promise<unknown> }>()
</script>

<template>
  <NoticeLine :fault="fault">
    <ActionButton v-if="again" quiet name="save-again" @click="again()">Save again</ActionButton>
  </NoticeLine>
</template>
