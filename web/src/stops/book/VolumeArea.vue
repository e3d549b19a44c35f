<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { setAreaMutation } from '@/api/calls'
import type { SearchArea } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { plural } from '@/parts/format'

/** Searches of which it is not known where they were counted: said once for all of them. */
defineProps<{ client: number; phrases: number }>()
const setArea = useMutation(setAreaMutation())
const choices: { area: SearchArea; says: string }[] = [
  { area: 'town', says: 'the town' },
  { area: 'state', says: 'the state' },
  { area: 'country', says: 'the country' },
]
</script>

<template>
  <p class="area flush pad-1 edge washed" data-area>
    {{ plural(phrases, 'phrase') }} without a place, such as “near me”: their searches count only if they are
    the town’s. They were counted in
    <template v-for="(c, i) in choices" :key="c.area">
      <template v-if="i">, </template>
      <ActionButton
        quiet
        :disabled="setArea.isPending.value"
        @click="setArea.mutate({ path: { client: client }, body: { area: c.area } })"
      >
        {{ c.says }}
      </ActionButton>
    </template>
    <NoticeLine :fault="setArea.error.value" />
  </p>
</template>
