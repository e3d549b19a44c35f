<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { walkOptions } from '@/api/calls'
import { computed, ref } from 'vue'
import { useViewTitle } from '@/parts/title'
import { duration } from '@/parts/format'
import { useFollower } from './useSpeaker'

/** The talking points in a window of their own: they follow the walk-through, and arrows move it. */
const props = defineProps<{ client: number }>()
defineEmits<{ help: []; find: [] }>()
const { data: walk } = useQuery(() => walkOptions({ path: { client: props.client } }))
useViewTitle(() => walk.value?.client, 'Talking points')
const at = ref(0)
const step = computed(() => walk.value?.steps[at.value])
const next = computed(() => walk.value?.steps[at.value + 1])
const follower = useFollower(
  () => props.client,
  (n) => (at.value = n),
)
useEventListener(window, 'keydown', (e: KeyboardEvent) => {
  const by = { ArrowRight: 1, PageDown: 1, ArrowLeft: -1, PageUp: -1 }[e.key]
  if (by) follower.to(at.value + by)
})
</script>

<template>
  <main v-if="step" id="main" class="stacked gap-3 pad-4 edge" data-talking>
    <h1 class="t-title flush">{{ step.head }}</h1>
    <ul class="t-head flush">
      <li v-for="p in step.points" :key="p" class="pad-1">{{ p }}</li>
    </ul>
    <p class="soft flush">
      {{ duration(step.minutes) }} to say · {{ at + 1 }} of {{ walk!.steps.length }}
      <template v-if="next"> · next: {{ next.head }}</template>
    </p>
  </main>
</template>
