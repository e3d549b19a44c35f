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
  <section class="recap" aria-label="The plan in short" data-recap>
    <p v-for="t in first" :key="t.id" class="first soft">
      <span class="stamp">fix first</span>
      {{ [t.before, t.pencil, t.after].filter(Boolean).join(' ') }} · {{ names.get(t.page) }} ·
      {{ duration(t.minutes) }}
    </p>
    <ol>
      <li v-for="(r, i) in plan.recap" :key="r.says">
        <button class="quiet" type="button" :aria-pressed="picked === i" @click="$emit('pick', i)">
          <span class="number soft">{{ i + 1 }}</span>
          <span class="what">
            <span class="says">{{ r.says }}</span>
            <span class="soft evidence">{{ r.evidence }}</span>
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
          <span class="figure"
            ><template v-if="r.gain > 0"
              >+{{ gain(r.gain) }}<template v-if="plan.unit === 'share'">%</template></template
            ><template v-else>—</template></span
          >
          <span class="num">{{ duration(r.minutes) }}</span>
          <span class="turn soft" aria-hidden="true">{{ picked === i ? '▾' : '▸' }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.recap {
  padding: 12px 0 8px;
  border-bottom: 2px solid var(--ink);
}
.first {
  margin: 0 var(--edge) 4px;
  padding-left: 42px;
}
.first .stamp {
  margin-right: 8px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
button {
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) 190px 90px 92px 16px;
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 5px var(--edge);
  text-align: left;
}
button:hover,
[aria-pressed='true'] {
  background: var(--band);
}
.number {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 20px;
  font-variant-numeric: lining-nums tabular-nums;
  text-align: right;
}
.says {
  display: block;
  font: 600 24px/1.15 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
.evidence {
  display: block;
  font-size: 12.5px;
}
.figure {
  font-size: 21px;
  color: var(--pencil);
  text-align: right;
}
.turn {
  text-align: right;
}
@media (max-width: 1100px) {
  button {
    grid-template-columns: 24px minmax(0, 1fr) 150px 76px 82px 14px;
    gap: 10px;
  }
  .says {
    font-size: 21px;
  }
}
@media (max-width: 760px) {
  button {
    grid-template-columns: 24px minmax(0, 1fr) 70px;
  }
  .mark,
  button .num,
  .turn {
    display: none;
  }
}
</style>
