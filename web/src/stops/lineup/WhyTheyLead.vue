<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ladderOptions } from '@/api/calls'
import { computed } from 'vue'
import { duration } from '@/parts/format'

/** Of each rival that stands above the client: why, as far as what was measured tells, and what narrows it. */
const props = defineProps<{ client: number; page: number }>()
const { data: ladder } = useQuery(() =>
  ladderOptions({ path: { client: props.client }, query: { page: `p${props.page}` } }),
)
const above = computed(() => ladder.value?.rungs.filter((r) => r.reason) ?? [])
</script>

<template>
  <section v-if="above.length" aria-label="Why they lead">
    <div class="flow on-base gap-3 pad-2 edge banded ink-below">
      <h2 class="flush">Why they lead</h2>
      <span v-if="ladder?.enough" class="soft t-small">{{ ladder.enough }}</span>
    </div>
    <div v-for="r in above" :key="r.entry" class="line grid gap-3 pad-2 edge line-below" :data-lead="r.name">
      <b>{{ r.name }}</b>
      <div>
        {{ r.reason!.says }}
        <span v-if="r.reason!.narrow.length" class="as-block t-small pencil">
          <template v-for="(t, i) in r.reason!.narrow" :key="t.id"
            >{{ i ? ' · ' : '' }}{{ t.name }}: {{ t.says }}, {{ duration(t.minutes) }}</template
          >
        </span>
        <span v-if="r.reason!.unknown.length" class="as-block t-small soft"
          >Not known: {{ r.reason!.unknown.join(', ').toLowerCase() }}.</span
        >
        <span v-if="r.left.length" class="as-block t-small soft"
          >No page can change this: {{ r.left.join(', ').toLowerCase() }}.</span
        >
      </div>
    </div>
  </section>
</template>

<style scoped>
.line {
  grid-template-columns: var(--w22) minmax(0, 1fr);
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
