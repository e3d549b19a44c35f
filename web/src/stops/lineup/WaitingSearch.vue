<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { chooseLineupMutation } from '@/api/calls'
import type { Ground, Lineup } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { moment, plural } from '@/parts/format'
import { pageName } from '@/parts/pages'
import { useUndo } from '@/parts/undo'

/** A search that is not used yet: which rivals it would change, and the press that uses it. */
const props = defineProps<{ client: number; ground: Ground; lineup: Lineup }>()
const use = useMutation(chooseLineupMutation())
const undo = useUndo()

const waits = computed(() => props.lineup.waits)
const page = computed(() => {
  const p = props.ground.pages.find((p) => p.id === waits.value.page)
  return p ? pageName(p) : 'The home page'
})
const now = computed(() => props.lineup.recorded.find((r) => r.id === waits.value.instead))

async function take() {
  const { instead } = waits.value
  const ok = await use
    .mutateAsync({ path: { client: props.client, lineup: props.lineup.id } })
    .catch(() => null)
  if (ok)
    undo.offer(`${page.value} is compared with the search for “${props.lineup.phrase}”`, () =>
      use.mutateAsync({ path: { client: props.client, lineup: instead } }),
    )
}
</script>

<template>
  <p class="waits flow wrap gap-3 lines-2 on-mid flush pad-2 edge washed line-below" data-waits>
    <b v-if="waits.changed">{{ waits.changed }} of {{ plural(waits.of, 'rival') }} would change.</b>
    <b v-else>The rivals would stay the same.</b>
    <span v-if="now">
      {{ page }} is still compared with the search for “{{ now.phrase }}”, {{ moment(now.recorded_at) }}.
    </span>
    <ActionButton main :disabled="use.isPending.value" @click="take"> Use this search </ActionButton>
    <NoticeLine :fault="use.error.value" />
  </p>
</template>
