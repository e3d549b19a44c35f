<script setup lang="ts">
import type { Plan, Target } from '@/api/types'
import { duration, gain } from '@/parts/format'
import PlacementMark from '@/parts/PlacementMark.vue'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** The whole plan in up to three imperatives, each pressed to see its lines; over them what is put right first. */
defineProps<{
  plan: Plan
  /** What hides a page or makes it look unfinished. */
  first: Target[]
  names: Map<string, string>
  /** Which imperative's lines are shown, -1 for all. */
  picked: number
}>()
defineEmits<{ pick: [index: number] }>()
</script>

<template>
  <section class="recap thick-below" aria-label="The plan in short" data-recap>
    <p v-for="t in first" :key="t.id" class="first soft pl-10">
      <span class="stamp">fix first</span>
      {{ [t.before, t.pencil, t.after].filter(Boolean).join(' ') }} · {{ names.get(t.page) }} ·
      {{ duration(t.minutes) }}
    </p>
    <ol class="flush pad-0 sides-0">
      <li v-for="(r, i) in plan.recap" :key="r.says">
        <button
          class="quiet grid gap-3 on-mid full pad-1 edge to-left"
          type="button"
          :aria-pressed="picked === i"
          @click="$emit('pick', i)"
        >
          <span class="number soft figure t-head to-right">{{ i + 1 }}</span>
          <span class="what">
            <span class="says as-block">{{ r.says }}</span>
            <span class="soft evidence as-block t-small">{{ r.evidence }}</span>
          </span>
          <span class="mark">
            <TallyStrokes
              v-if="r.words && !r.fronts.includes('phrases')"
              :words="r.now"
              :write="r.words"
              :height="22"
              :most="6"
            />
            <PlacementMark v-else-if="r.slots.length" target :wanted="r.slots" />
          </span>
          <span class="figure t-title pencil to-right"
            ><template v-if="r.gain > 0"
              >+{{ gain(r.gain) }}<template v-if="plan.unit === 'share'">%</template></template
            ><template v-else>—</template></span
          >
          <span class="num">{{ duration(r.minutes) }}</span>
          <span class="turn soft to-right" aria-hidden="true">{{ picked === i ? '▾' : '▸' }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.recap {
  padding: var(--s3) 0 var(--s2);
}
.first {
  margin: 0 var(--edge) var(--s1);
}
.first .stamp {
  margin-right: var(--s2);
}
button {
  grid-template-columns: var(--w4) minmax(0, 1fr) var(--w24) var(--w11) var(--w12) var(--s4);
}
button:hover,
[aria-pressed='true'] {
  background: var(--band);
}
.says {
  font: 600 var(--title)/1.15 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
@media (max-width: 1100px) {
  button {
    grid-template-columns: var(--w3) minmax(0, 1fr) var(--w19) var(--w10) var(--w10) var(--s3);
    gap: var(--s2);
  }
  .says {
    font-size: var(--title);
  }
}
@media (max-width: 760px) {
  button {
    grid-template-columns: var(--w3) minmax(0, 1fr) var(--w9);
  }
  .mark,
  button .num,
  .turn {
    display: none;
  }
}
</style>
