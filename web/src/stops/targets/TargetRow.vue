<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { GainUnit, Target } from '@/api/types'
import { nextTick, ref, watch } from 'vue'
import { duration, gain } from '@/parts/format'
import PlacementMark from '@/parts/PlacementMark.vue'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import ChoiceMarks from './ChoiceMarks.vue'

/** One target as a plain instruction: what, why, its strip or its strokes, what it brings and takes. */
const props = defineProps<{
  target: Target
  pageName: string
  unit: GainUnit
  unitNote: string
  number: string
  at: boolean
  /** Whether Tab comes to it. */
  tabbed: boolean
  open: boolean
  /** Whether its page is said: on the list of one page it is not. */
  paged: boolean
  /** Whether the margin beside it leaves little room. */
  narrow: boolean
  /** Whether its gain is explained beside it. */
  asked: boolean
}>()
defineEmits<{ keep: []; drop: []; remove: []; toggle: []; why: [] }>()

const row = ref<HTMLElement>()
watch(
  () => props.at,
  async (at) => {
    await nextTick()
    if (at) row.value?.scrollIntoView({ block: 'nearest' })
  },
)
</script>

<template>
  <div
    ref="row"
    class="row grid gap-3 on-mid pad-1 edge line-below hand"
    role="row"
    aria-level="1"
    :tabindex="tabbed ? 0 : -1"
    :data-row="target.id"
    :aria-expanded="open"
    :class="{ below: !target.fits, dropped: target.choice.state === 'dropped', 'at-hand': at, paged, narrow }"
    :data-target="target.id"
    :data-kind="target.kind"
    :data-fits="target.fits"
    @click="$emit('toggle')"
  >
    <span class="num soft" role="gridcell">{{ number }}</span>
    <span v-if="paged" class="of-two page soft" role="gridcell" :title="pageName">{{ pageName }}</span>
    <div class="what" role="gridcell">
      <button
        class="says quiet flow on-base nowrap to-left t-text pad-0 sides-0"
        type="button"
        tabindex="-1"
        :aria-expanded="open"
        @click.stop="$emit('toggle')"
      >
        <span v-if="target.first" class="stamp">fix first</span>
        <span class="before bold">{{ target.before }}</span>
        <span v-if="target.pencil" class="penciled">{{ target.pencil }}</span>
        <span v-if="target.after" class="before bold">{{ target.after }}</span>
      </button>
      <div class="soft evidence t-small" :title="target.evidence">
        <template v-if="target.choice.state === 'dropped'"
          >dropped<template v-if="target.choice.reason">: {{ target.choice.reason }}</template> ·
        </template>
        <template v-if="target.short">only its title and H1 fit · </template>{{ target.evidence }}
      </div>
    </div>
    <span v-if="!narrow" class="mark" role="gridcell">
      <TallyStrokes v-if="target.kind === 'slice'" :words="0" :write="target.words" :height="18" :most="3" />
      <PlacementMark v-else-if="target.slots.length && !target.first" target :wanted="target.slots" />
    </span>
    <span class="num" role="gridcell">
      <button
        class="num gain opens quiet to-right pad-0 sides-0"
        type="button"
        :title="unitNote + ' Open the sum.'"
        :aria-pressed="asked"
        @click.stop="$emit('why')"
      >
        <template v-if="target.gain > 0"
          ><span class="figure">+{{ gain(target.gain) }}</span
          ><template v-if="unit === 'share'">%</template></template
        >
        <template v-else>—</template>
      </button>
    </span>
    <span class="num time" role="gridcell">{{ duration(target.minutes) }}</span>
    <span v-if="target.own_id && !narrow" class="to-right" role="gridcell"
      ><ActionButton quiet @click.stop="$emit('remove')">Remove</ActionButton></span
    >
    <ChoiceMarks
      v-else-if="!narrow"
      role="gridcell"
      :choice="target.choice"
      fixed
      @keep="$emit('keep')"
      @drop="$emit('drop')"
    />
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: var(--columns-plan);
  min-height: var(--w6);
}
.row.paged {
  grid-template-columns: var(--columns-plan-paged);
}
/* What a target is about is cut before what it asks: "(1 of 2)" is always seen. */
.says {
  max-width: 100%;
  line-height: 1.45;
}
.says > * {
  margin-right: var(--s1);
}
.says > .before,
.says > .penciled {
  overflow: hidden;
  text-overflow: ellipsis;
  flex: 0 1 auto;
}
.says > .stamp,
.says > .before:has(+ .penciled),
.says > .penciled ~ .before {
  flex: none;
}
.gain .figure {
  font-size: var(--head);
}
.below .before,
.below .figure,
.below .time,
.below .gain {
  color: var(--ink-soft);
  font-weight: 400;
}
.below .mark {
  opacity: 0.55;
}
.dropped .says {
  text-decoration: line-through;
}
.row.narrow {
  grid-template-columns: var(--w4) minmax(0, 1fr) var(--w8) var(--w11);
}
.row.narrow.paged {
  grid-template-columns: var(--w4) var(--w12) minmax(0, 1fr) var(--w8) var(--w11);
}
@media (max-width: 760px) {
  .row,
  .row.paged,
  .row.narrow,
  .row.narrow.paged {
    grid-template-columns: var(--s5) auto auto 1fr;
    padding: var(--s2) var(--s3);
    gap: var(--s1) var(--s3);
  }
  .what,
  .page {
    grid-column: 2 / -1;
  }
  .says,
  .evidence {
    white-space: normal;
  }
  .says {
    display: block;
  }
  .mark {
    display: none;
  }
  .num:has(> .gain) {
    grid-column: 2;
    text-align: left;
  }
}
</style>
