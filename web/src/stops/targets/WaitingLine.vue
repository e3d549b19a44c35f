<script setup lang="ts">
import type { Plan } from '@/api/types'
import { computed } from 'vue'
import { count, plural } from '@/parts/format'

/** What nothing is asked for until a word of it is judged, with the way there. */
const props = defineProps<{ waiting: Plan['waiting']; client: number }>()
const brings = computed(() => {
  const { gain, volume } = props.waiting
  if (gain >= 1) return `: they would add ${count(Math.round(gain))} visits a month`
  return volume >= 1 ? `: ${count(Math.round(volume))} searches/mo` : ''
})
</script>

<template>
  <p class="soft pad-2 edge" data-waiting>
    {{ plural(waiting.families, 'phrase') }} {{ waiting.families === 1 ? 'waits' : 'wait' }} for your
    decision{{ brings }}.
    <router-link :to="{ name: 'book', params: { client }, hash: '#words' }"
      >What is “{{ waiting.word }}”?</router-link
    >
  </p>
</template>
