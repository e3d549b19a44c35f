<script setup lang="ts">
import { duration } from '@/parts/format'

/** Where the walk-through is: a stroke a step, the clock, and the keys. */
defineProps<{ client: string; at: number; steps: number; minutes: number; clock: string }>()
defineEmits<{ to: [step: number]; notes: []; speaker: []; clock: []; leave: []; change: [] }>()
</script>

<template>
  <footer class="flow apart on-mid gap-5 soft wrap">
    <span>{{ client }} · {{ at + 1 }} of {{ steps }}</span>
    <span class="flow gap-0" role="group" aria-label="Steps">
      <button
        v-for="n in steps"
        :key="n"
        class="quiet stroke"
        :class="{ told: n - 1 <= at }"
        type="button"
        :aria-label="`Step ${n}`"
        :aria-current="n - 1 === at ? 'step' : undefined"
        @click="$emit('to', n - 1)"
      ></button>
    </span>
    <span class="flow on-mid gap-3 wrap">
      <button
        class="quiet num"
        type="button"
        title="Start the clock again"
        data-clock
        @click="$emit('clock')"
      >
        {{ clock }}
      </button>
      <span>of about {{ duration(minutes) }}</span>
      <button class="quiet" type="button" aria-label="Step before" @click="$emit('to', at - 1)">
        <span class="kbd">←</span>
      </button>
      <button class="quiet" type="button" aria-label="Next step" @click="$emit('to', at + 1)">
        <span class="kbd">→</span>
      </button>
      <button class="quiet" type="button" @click="$emit('notes')">
        <span class="kbd">t</span> talking points
      </button>
      <button class="quiet" type="button" @click="$emit('speaker')">
        <span class="kbd">p</span> in a window
      </button>
      <button class="quiet" type="button" @click="$emit('change')"><span class="kbd">e</span> change</button>
      <button class="quiet" type="button" @click="$emit('leave')"><span class="kbd">Esc</span> leave</button>
    </span>
  </footer>
</template>

<style scoped>
footer {
  padding-top: var(--s2);
}
.stroke {
  width: var(--w3);
  height: var(--w3);
  position: relative;
}
.stroke::before {
  content: '';
  position: absolute;
  inset: var(--s1) 45%;
  background: var(--rule);
}
.stroke.told::before {
  background: var(--ink);
}
</style>
