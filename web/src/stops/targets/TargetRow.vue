<script setup lang="ts">
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
    class="row"
    role="row"
    aria-level="1"
    :tabindex="tabbed ? 0 : -1"
    :data-row="target.id"
    :aria-expanded="open"
    :class="{ below: !target.fits, dropped: target.choice.state === 'dropped', at, paged, narrow }"
    :data-target="target.id"
    :data-kind="target.kind"
    :data-fits="target.fits"
    @click="$emit('toggle')"
  >
    <span class="num soft" role="gridcell">{{ number }}</span>
    <span v-if="paged" class="page soft" role="gridcell" :title="pageName">{{ pageName }}</span>
    <div class="what" role="gridcell">
      <button
        class="says quiet"
        type="button"
        tabindex="-1"
        :aria-expanded="open"
        @click.stop="$emit('toggle')"
      >
        <span v-if="target.first" class="stamp">fix first</span>
        <span class="before">{{ target.before }}</span>
        <span v-if="target.pencil" class="penciled">{{ target.pencil }}</span>
        <span v-if="target.after" class="before">{{ target.after }}</span>
      </button>
      <div class="soft evidence" :title="target.evidence">
        <template v-if="target.choice.state === 'dropped'"
          >dropped<template v-if="target.choice.reason">: {{ target.choice.reason }}</template> ·
        </template>
        <template v-if="target.short">only its title and H1 fit · </template>{{ target.evidence }}
      </div>
    </div>
    <span class="mark" role="gridcell">
      <TallyStrokes v-if="target.kind === 'slice'" :words="0" :write="target.words" :height="18" :most="3" />
      <PlacementMark v-else-if="target.slots.length && !target.first" target :wanted="target.slots" />
    </span>
    <span class="num" role="gridcell">
      <button
        class="num gain quiet"
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
    <span v-if="target.own_id" class="own" role="gridcell"
      ><button class="link" type="button" @click.stop="$emit('remove')">Remove</button></span
    >
    <ChoiceMarks
      v-else
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
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) 148px 72px 84px 98px;
  gap: 12px;
  align-items: center;
  min-height: 48px;
  padding: 3px var(--edge);
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
}
.row.paged {
  grid-template-columns: 30px 124px minmax(0, 1fr) 148px 72px 84px 98px;
}
.page {
  overflow: hidden;
  text-overflow: ellipsis;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  line-height: 1.25;
}
/* What a target is about is cut before what it asks: "(1 of 2)" is always seen. */
.says {
  display: flex;
  align-items: baseline;
  max-width: 100%;
  white-space: nowrap;
  text-align: left;
  font-size: 14.5px;
  line-height: 1.45;
  padding: 0;
}
.says > * {
  margin-right: 5px;
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
.before {
  font-weight: 600;
}
.evidence {
  font-size: 12.5px;
}
.gain {
  text-align: right;
  padding: 2px 0;
  border-bottom: 1px dotted transparent;
}
.gain .figure {
  font-size: 17px;
}
.gain:hover,
.gain[aria-pressed='true'] {
  border-bottom-color: var(--ink);
}
.own {
  text-align: right;
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
.row:focus-visible {
  outline: 2px solid var(--pencil);
  outline-offset: -2px;
}
.at {
  box-shadow: inset 4px 0 0 var(--pencil);
}
.narrow .mark,
.narrow .own,
.narrow :deep(.marks) {
  display: none;
}
.row.narrow {
  grid-template-columns: 30px minmax(0, 1fr) 62px 84px;
}
.row.narrow.paged {
  grid-template-columns: 30px 92px minmax(0, 1fr) 62px 84px;
}
@media (max-width: 760px) {
  .row,
  .row.paged {
    grid-template-columns: 20px auto auto 1fr;
    padding: 8px 12px;
    gap: 4px 12px;
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
