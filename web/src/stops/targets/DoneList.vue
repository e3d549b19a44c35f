<script setup lang="ts">
import type { Plan } from '@/api/types'
import { computed } from 'vue'
import { gain, plural } from '@/parts/format'

/**
 * What changed at the rivals, and what was done since the previous measurement, in ink; and what was said
 * of lines that are no longer there.
 */
const props = defineProps<{ plan: Plan; page: string; names: Map<string, string> }>()
const list = computed(() => props.plan.done.filter((d) => !props.page || d.page === props.page))
const notices = computed(() => props.plan.notices.filter((n) => !props.page || n.page === props.page))
const idle = computed(() => props.plan.idle.filter((i) => !props.page || i.page === props.page))
const sum = computed(() => list.value.reduce((all, d) => all + d.gain, 0))
</script>

<template>
  <section v-if="notices.length" class="done" data-notices>
    <h2 class="t-lead flush ink-below">Rivals: changed since the previous measurement</h2>
    <div v-for="n in notices" :key="n.page + n.says" class="line grid gap-3 on-mid pad-0 edge line-below">
      <span aria-hidden="true">!</span>
      <span class="soft">{{ names.get(n.page) }}</span>
      <span class="says">{{ n.says }}</span>
    </div>
  </section>
  <section v-if="list.length" class="done" data-done>
    <h2 class="t-lead flush ink-below">
      Done since the previous measurement: {{ plural(list.length, 'part')
      }}<template v-if="sum >= 0.05"
        >, promised +{{ gain(sum) }}{{ plan.unit === 'share' ? '%' : ' visits a month' }}</template
      >
    </h2>
    <div
      v-for="d in list"
      :key="d.page + d.key"
      class="line grid gap-3 on-mid pad-0 edge line-below"
      :data-part="d.key"
    >
      <span class="tick" aria-hidden="true">✓</span>
      <span class="soft">{{ names.get(d.page) }}</span>
      <span>{{ d.name }}: {{ d.says }}</span>
      <span class="soft">{{ d.note }}</span>
    </div>
  </section>
  <details v-if="idle.length" class="done" data-idle>
    <summary>
      <h2 class="t-lead flush ink-below">Your choices for lines no longer in the plan: {{ idle.length }}</h2>
    </summary>
    <div v-for="i in idle" :key="i.page + i.key" class="line grid gap-3 on-mid pad-0 edge line-below">
      <span></span>
      <span class="soft">{{ names.get(i.page) ?? i.page }}</span>
      <span class="says">{{ i.says }}</span>
    </div>
  </details>
</template>

<style scoped>
h2 {
  padding: var(--s4) var(--edge) var(--s1);
}
summary {
  padding-left: var(--edge);
}
summary h2 {
  display: inline-block;
  padding-left: 0;
  border-bottom: 0;
}
.line {
  grid-template-columns: var(--s5) var(--w16) minmax(0, 1fr) minmax(0, 0.7fr);
  min-height: var(--w4);
}
.says {
  grid-column: span 2;
}
.tick {
  font-weight: 700;
}
</style>
