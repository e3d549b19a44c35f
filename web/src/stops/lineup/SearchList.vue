<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { forgetLineupMutation } from '@/api/calls'
import type { Ground, Lineup, Recorded } from '@/api/types'
import { computed } from 'vue'
import { moment } from '@/parts/format'
import { pageName } from '@/parts/pages'
import TabRow from '@/ui/TabRow.vue'
import { history, standLine } from './entries'

/** The recorded searches, which pages are judged against the one shown, and where the client stood over time. */
const props = defineProps<{ client: number; ground: Ground; lineup: Lineup }>()
const emit = defineEmits<{ show: [id: number] }>()
const forget = useMutation(forgetLineupMutation())

const dated = computed(() => history(props.lineup.recorded, props.lineup))
const line = computed(() => standLine(dated.value, 104, 24))
const place = (n: number) => (n ? String(n) : 'not found')
const recordings = computed(() =>
  [...dated.value].reverse().map((r) => ({
    value: r.id,
    says: `${moment(r.recorded_at)}: organic ${place(r.organic)}, map ${place(r.map)}`,
  })),
)
const judged = computed(() =>
  props.ground.pages.filter((p) => props.lineup.pages.includes(p.id)).map((p) => pageName(p)),
)
/* The newest of each phrase and place; the older ones stand in its line. */
const newest = computed(() => {
  const had = new Set<string>()
  return props.lineup.recorded.filter((r) => {
    const key = `${r.phrase}\n${r.place}`.toLowerCase()
    return !had.has(key) && had.add(key)
  })
})
/* One phrase from several places is told apart by these. */
const called = (r: Recorded) =>
  newest.value.filter((o) => o.phrase === r.phrase).length > 1
    ? `${r.phrase}, ${r.place || 'place not known'}`
    : r.phrase

const searches = computed(() =>
  newest.value.map((r) => ({
    key: r.id,
    says: called(r),
    hint: [r.place, moment(r.recorded_at)].filter(Boolean).join(' · '),
  })),
)

async function remove() {
  const ok = await forget
    .mutateAsync({ path: { client: props.client, lineup: props.lineup.id } })
    .catch(() => null)
  if (ok) emit('show', 0)
}
</script>

<template>
  <div class="searches flow wrap on-mid gap-4 lines-1 pad-2 edge line-below">
    <TabRow
      v-if="newest.length > 1"
      :tabs="searches"
      :at="newest.find((r) => r.phrase === lineup.phrase && r.place === lineup.place)?.id"
      label="Recorded searches"
      @choose="emit('show', $event)"
    />
    <span v-if="judged.length" class="soft judged"
      >pages compared with it: {{ judged.slice(0, 3).join('; ')
      }}{{ judged.length > 3 ? ` and ${judged.length - 3} more pages` : '' }}</span
    >
    <span v-if="dated.length > 1" class="over flow on-mid gap-2" data-history>
      <svg
        viewBox="0 0 104 24"
        width="104"
        height="24"
        role="img"
        :aria-label="`organic ${dated.map((r) => place(r.organic)).join(', ')}`"
      >
        <path :d="line" />
      </svg>
      <ChoiceBox
        :model-value="lineup.id"
        label="When it was recorded"
        :options="recordings"
        @update:model-value="emit('show', $event)"
      />
    </span>
    <ActionButton v-if="lineup.recorded.length > 1" quiet class="push" @click="remove">
      Delete this search
    </ActionButton>
  </div>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
