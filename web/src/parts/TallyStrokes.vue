<script setup lang="ts">
import { computed } from 'vue'
import { plural } from './format'

/**
 * Words as tally strokes: one upright stroke is 100 words, every fifth crosses
 * the four before it. What is to be written follows in pencil. A part of a
 * hundred is a shorter stroke.
 */
const props = withDefaults(
  defineProps<{
    words: number
    write?: number
    tone?: 'ink' | 'rival'
    height?: number
    /** How many bundles are drawn before the rest is left out. */
    most?: number
  }>(),
  { write: 0, tone: 'ink', height: 16, most: 6 },
)

const STEP = 3.4
const BUNDLE = 4 * STEP + 5.2
const TOP = 1
const FOOT = 15

/** The line of stroke number i from share `from` to share `to` of its length. */
function line(i: number, from: number, to: number): string {
  const left = Math.floor(i / 5) * BUNDLE + 2
  const n = i % 5
  const [x1, y1, x2, y2] =
    n < 4
      ? [left + n * STEP, FOOT, left + n * STEP, TOP]
      : [left - 1.8, FOOT - 3, left + 3 * STEP + 1.8, TOP + 3]
  const at = (share: number) =>
    `${(x1 + (x2 - x1) * share).toFixed(2)} ${(y1 + (y2 - y1) * share).toFixed(2)}`
  return `M${at(from)}L${at(to)}`
}

function strokes(from: number, to: number): string {
  let path = ''
  for (let i = Math.floor(from / 100); i * 100 < to; i++) {
    if (i >= props.most * 5) break
    path += line(i, Math.max(0, from / 100 - i), Math.min(1, to / 100 - i))
  }
  return path
}

const total = computed(() => props.words + props.write)
const ink = computed(() => strokes(0, props.words))
const pencil = computed(() => (props.write > 0 ? strokes(props.words, total.value) : ''))
const cut = computed(() => total.value > props.most * 500)
const width = computed(() => {
  const count = Math.min(Math.ceil(total.value / 100), props.most * 5)
  const last = count % 5
  const full = Math.floor(count / 5) * BUNDLE
  return Math.max(4, full + (last ? (last - 1) * STEP + 4 : 0) + (cut.value ? 10 : 0))
})
const label = computed(
  () => plural(props.words, 'word') + (props.write > 0 ? ` and ${props.write} to write` : ''),
)
</script>

<template>
  <svg
    class="tally stiff"
    :class="tone"
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${width.toFixed(1)} 16`"
    :height="height"
    :width="(width * height) / 16"
  >
    <path class="done" :d="ink" />
    <path v-if="pencil" class="wanted" :d="pencil" />
    <g v-if="cut" class="rest">
      <circle v-for="n in 3" :key="n" :cx="width - 11 + n * 3.2" cy="14" r="0.9" />
    </g>
  </svg>
</template>

<style scoped>
.tally {
  display: inline-block;
  vertical-align: middle;
  overflow: visible;
}
path {
  fill: none;
  stroke-width: 1.25;
  stroke: currentColor;
}
.ink {
  color: var(--ink);
}
.rival {
  color: var(--rival);
}
.wanted {
  stroke: var(--pencil);
  stroke-dasharray: 2 1.2;
}
.rest {
  fill: currentColor;
}
</style>
