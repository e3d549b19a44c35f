<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Plan } from '@/api/types'
import { count, duration, gain } from '@/parts/format'
import TypedField from '@/ui/TypedField.vue'
import TabRow from '@/ui/TabRow.vue'
import type { Order } from './list'
import PlanLeaves from './PlanLeaves.vue'

/** The hours, what they bring, and in which order the list stands. */
defineProps<{
  plan: Plan
  client: number
  order: Order
  dropped: boolean
  hasDropped: boolean
  hours: (typed: string, was: string) => Promise<boolean>
}>()
defineEmits<{
  order: [order: Order]
  dropped: [shown: boolean]
  add: []
  ladder: []
}>()

const orders: { key: Order; says: string }[] = [
  { key: 'work', says: 'Order of work' },
  { key: 'front', says: 'By kind of work' },
  { key: 'page', says: 'By page' },
]
</script>

<template>
  <div class="top flow wrap gap-5 lines-2 on-mid pad-2 edge ink-below">
    <label>
      <span class="hours on-base gap-1"
        ><TypedField
          class="figure"
          inputmode="decimal"
          autocomplete="off"
          name="hours"
          aria-label="Hours"
          :value="String(plan.hours)"
          :save="hours"
        /><span class="figure">h</span></span
      >
      <span class="soft">for this client</span>
    </label>
    <div data-gain>
      <span class="figure pencil"
        >+{{ gain(plan.gain) }}<template v-if="plan.unit === 'share'">%</template></span
      >
      <span class="soft"
        ><template v-if="plan.unit === 'share'">of the gain above the line, est.</template
        ><template v-else
          >visits a month above the line, est.<template v-if="plan.worth >= 1">
            · {{ plan.money }}{{ count(plan.worth) }}</template
          ></template
        ></span
      >
    </div>
    <div>
      <span class="figure">{{ plan.fit }} of {{ plan.open }}</span>
      <span class="soft">targets fit</span>
    </div>
    <div>
      <span class="figure">{{ duration(plan.minutes) }}</span>
      <span class="soft">for all of them</span>
    </div>
    <TabRow class="push" :tabs="orders" :at="order" label="Order" @choose="$emit('order', $event)" />
    <div class="more stacked at-end gap-0 t-small nowrap">
      <PlanLeaves :client="client" />
      <div class="row flow gap-3">
        <ActionButton quiet class="pad-1" shortcut="r" @click="$emit('ladder')">
          Rival by rival
        </ActionButton>
        <ActionButton quiet class="pad-1" shortcut="n" @click="$emit('add')"> New target </ActionButton>
        <ActionButton v-if="hasDropped" quiet class="pad-1" @click="$emit('dropped', !dropped)">
          {{ dropped ? 'Hide dropped' : 'Show dropped' }}
        </ActionButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.top > div > span,
.top > label > span {
  display: block;
  white-space: nowrap;
}
.figure {
  font-size: var(--title);
  line-height: 1.15;
}
.hours {
  display: flex !important;
}
.hours input {
  text-align: right;
  field-sizing: content;
  min-width: 1.2ch;
  max-width: 6ch;
  background: none;
  border: 0;
  border-bottom: var(--soft-dashes);
  padding: 0;
  appearance: textfield;
}
.hours input:focus {
  outline: none;
  border-bottom: var(--focus-line);
}
.row .kbd {
  font-size: var(--small);
  padding: 0 var(--s1);
}
@media (max-width: 760px) {
  .more {
    flex-wrap: wrap;
    white-space: normal;
  }
}
@media (max-width: 1100px) {
  .top {
    flex-wrap: wrap;
    gap: var(--s2) var(--s5);
  }
  .more {
    flex-direction: row;
    gap: var(--s3);
  }
}
</style>
