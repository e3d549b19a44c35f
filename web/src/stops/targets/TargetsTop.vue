<script setup lang="ts">
import type { Plan } from '@/api/types'
import { count, duration, gain } from '@/parts/format'
import TypedField from '@/parts/TypedField.vue'
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

const orders: { name: Order; label: string }[] = [
  { name: 'work', label: 'Order of work' },
  { name: 'front', label: 'By kind of work' },
  { name: 'page', label: 'By page' },
]
</script>

<template>
  <div class="top">
    <label>
      <span class="hours"
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
    <nav class="orders" aria-label="Order">
      <button
        v-for="o in orders"
        :key="o.name"
        type="button"
        class="quiet"
        :aria-pressed="order === o.name"
        @click="$emit('order', o.name)"
      >
        {{ o.label }}
      </button>
    </nav>
    <div class="more">
      <PlanLeaves :client="client" />
      <div class="row">
        <button class="link" type="button" @click="$emit('ladder')">
          Rival by rival <span class="kbd">r</span>
        </button>
        <button class="link" type="button" @click="$emit('add')">
          New target <span class="kbd">n</span>
        </button>
        <button v-if="hasDropped" class="link" type="button" @click="$emit('dropped', !dropped)">
          {{ dropped ? 'Hide dropped' : 'Show dropped' }}
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: center;
  padding: 9px var(--edge);
  border-bottom: 1px solid var(--ink);
}
.top > div > span,
.top > label > span {
  display: block;
  white-space: nowrap;
}
.figure {
  font-size: 24px;
  line-height: 1.15;
}
.hours {
  display: flex !important;
  align-items: baseline;
  gap: 4px;
}
.hours input {
  text-align: right;
  field-sizing: content;
  min-width: 1.2ch;
  max-width: 6ch;
  background: none;
  border: 0;
  border-bottom: 1px dashed var(--ink-soft);
  padding: 0;
  appearance: textfield;
}
.hours input:focus {
  outline: none;
  border-bottom: 2px solid var(--pencil);
}
.orders {
  display: flex;
  gap: 4px;
  margin-left: auto;
  border-bottom: 1px solid var(--rule);
}
.orders button {
  padding: 5px 7px 6px;
  margin-bottom: -1px;
  color: var(--ink-soft);
  white-space: nowrap;
}
.orders [aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  border-bottom: 2px solid var(--ink);
}
.more {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  gap: 1px;
  font-size: 12.5px;
  white-space: nowrap;
}
.row {
  display: flex;
  gap: 14px;
}
.row .kbd {
  font-size: 10.5px;
  padding: 0 3px;
}
@media (max-width: 760px) {
  .more,
  .orders {
    flex-wrap: wrap;
    white-space: normal;
  }
}
@media (max-width: 1150px) {
  .top {
    flex-wrap: wrap;
    gap: 6px 22px;
  }
  .more {
    flex-direction: row;
    gap: 14px;
  }
}
</style>
