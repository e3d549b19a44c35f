<script setup lang="ts">
import type { Placement } from '@/api/types'
import { computed } from 'vue'
import { groups, slotLabels, slots, type SlotName } from './slots'

/**
 * Where a phrase is: ten squares, always the same, in four groups. Solid is
 * exact, half is loose, a pencil outline is wanted and missing, a faint dot is
 * neither there nor wanted.
 */
const props = defineProps<{
  placement?: Placement
  wanted?: string[]
  tone?: 'ink' | 'rival'
  /** Draws only what is wanted: the target's own column. */
  target?: boolean
  /** Draws what is there, and what is wanted and missing. */
  both?: boolean
}>()

const SIZE = 10
const GAP = 3
const GROUP_GAP = 8

type State = 'exact' | 'loose' | 'wanted' | 'none'

function stateOf(slot: SlotName): State {
  if (!props.target) {
    if ((props.placement?.exact[slot] ?? 0) > 0) return 'exact'
    if ((props.placement?.loose[slot] ?? 0) > 0) return 'loose'
    if (!props.both) return 'none'
  }
  return props.wanted?.includes(slot) ? 'wanted' : 'none'
}

const squares = computed(() => {
  let x = 0
  return groups.flatMap((group) => {
    const row = group.slots.map((slot) => {
      const square = { slot, x, state: stateOf(slot) }
      x += SIZE + GAP
      return square
    })
    x += GROUP_GAP - GAP
    return row
  })
})

const width = slots.length * (SIZE + GAP) + (groups.length - 1) * (GROUP_GAP - GAP) - GAP

const label = computed(() => {
  const said = squares.value.filter((s) => s.state !== 'none').map((s) => `${slotLabels[s.slot]} ${s.state}`)
  return said.length ? said.join(', ') : 'nowhere on the page'
})
</script>

<template>
  <svg
    class="placement as-block slim"
    :class="tone ?? 'ink'"
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${width} ${SIZE + 2}`"
  >
    <template v-for="s in squares" :key="s.slot">
      <rect v-if="s.state === 'exact'" :x="s.x" y="1" :width="SIZE" :height="SIZE" />
      <g v-else-if="s.state === 'loose'">
        <path :d="`M${s.x} ${SIZE + 1}L${s.x + SIZE} 1V${SIZE + 1}Z`" />
        <rect class="frame" :x="s.x + 0.5" y="1.5" :width="SIZE - 1" :height="SIZE - 1" />
      </g>
      <rect
        v-else-if="s.state === 'wanted'"
        class="wanted"
        :x="s.x + 1"
        y="2"
        :width="SIZE - 2"
        :height="SIZE - 2"
      />
      <circle v-else class="dot" :cx="s.x + SIZE / 2" :cy="SIZE / 2 + 1" r="1" />
    </template>
  </svg>
</template>

<style scoped>
.placement {
  flex: 0 1 var(--w18);
  width: var(--w18);
  overflow: visible;
  fill: currentColor;
}
.ink {
  color: var(--ink);
}
.rival {
  color: var(--rival);
}
.frame {
  fill: none;
  stroke: currentColor;
}
.wanted {
  fill: none;
  stroke: var(--pencil);
  stroke-width: 1.6;
}
.dot {
  fill: var(--rule);
}
</style>
