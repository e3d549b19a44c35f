<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import ActionButton from '@/ui/ActionButton.vue'
import type { Entry } from '@/api/types'
import { bare, count, plural } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { canBeRival, isDouble, isOwn, kindKeys, roleOf } from './entries'

/** One entry of a result, a row of a grid: `tabbed` is the one that Tab comes to. */
const props = defineProps<{ entry: Entry; over: boolean; tabbed: boolean; unread?: string | undefined }>()
const emit = defineEmits<{
  toggle: []
  kind: [kind: Entry['kind']]
  move: [by: number]
  remove: []
}>()

const own = () => isOwn(props.entry)
const usable = () => !props.entry.hit && canBeRival(props.entry)
const paid = () => props.entry.part === 'paid' || props.entry.sponsored
const aside = () =>
  props.entry.hit
    ? props.entry.hit.code === 'nothing'
    : !props.entry.taken && !own() && !isDouble(props.entry)
const position = () => (paid() || props.entry.part === 'typed' ? '—' : props.entry.position)
</script>

<template>
  <div
    class="row"
    :class="{ own: own(), aside: aside(), taken: entry.taken, over }"
    :data-entry="entry.name"
    :data-kind="entry.kind"
    role="row"
    :data-row="entry.id"
    :tabindex="tabbed ? 0 : -1"
    :aria-selected="entry.taken"
    @keydown.alt.up.prevent="emit('move', -1)"
    @keydown.alt.down.prevent="emit('move', 1)"
  >
    <span class="figure to-right t-lead" role="gridcell" data-place>{{ position() }}</span>
    <svg class="stroke" viewBox="0 0 6 18" width="6" height="18" aria-hidden="true">
      <path v-if="entry.taken" d="M3 1v16" />
    </svg>
    <span class="name of-two" role="rowheader" :title="entry.name">{{ entry.name }}</span>
    <span class="soft one-line" role="gridcell">
      <a
        v-if="entry.url"
        class="mono as-block one-line address"
        :href="entry.url"
        target="_blank"
        rel="noreferrer"
        :title="entry.url"
        >{{ bare(entry.url) }}</a
      >
      <template v-else>{{ entry.phone || 'no site known' }}</template>
    </span>
    <span class="soft says flow on-mid" role="gridcell">
      <template v-if="entry.hit">{{ entry.hit.says }}</template>
      <span v-else-if="entry.failure" class="mistake" :title="entry.failure.says"
        ><template v-if="entry.taken && entry.words === null">Add by hand. </template
        >{{ entry.failure.says }}</span
      >
      <template v-else-if="own()">the client</template>
      <template v-else-if="paid()">{{ entry.reason.says }}</template>
      <template v-else>
        <ChoiceBox
          class="mr-2"
          :model-value="entry.kind"
          :label="`What ${entry.name} is`"
          :options="kindKeys"
          @update:model-value="emit('kind', $event)"
        />
        <span class="slim" :title="entry.reason.says">
          {{ roleOf(entry) }}
          <span v-if="unread" class="pencil" :title="`The page of ${unread} cannot be read`"
            >next in line</span
          >
          <template v-else>{{ entry.reason.says }}</template>
        </span>
      </template>
    </span>
    <span class="soft one-line" role="gridcell" :title="entry.phone">
      {{
        [
          entry.rating?.toFixed(1),
          entry.reviews !== null && plural(entry.reviews, 'review'),
          entry.years && `${plural(entry.years, 'year')} in trade`,
        ]
          .filter(Boolean)
          .join(' · ')
      }}
    </span>
    <span class="flow gap-2 on-mid to-end" role="gridcell">
      <template v-if="entry.words !== null">
        <TallyStrokes :words="entry.words" :tone="own() ? 'ink' : 'rival'" :height="15" :most="4" />
        <span class="num">{{ count(entry.words) }}</span>
      </template>
    </span>
    <span class="to-right" role="gridcell">
      <ActionButton v-if="usable()" quiet @click="emit('toggle')">
        {{ entry.taken ? 'Dismiss' : 'Use as rival' }}
      </ActionButton>
      <ActionButton
        v-else-if="!own() && !entry.url && !entry.hit"
        quiet
        :aria-label="`Remove ${entry.name}`"
        @click="emit('remove')"
      >
        Remove
      </ActionButton>
    </span>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--columns-lineup);
  align-items: center;
  gap: var(--s2);
  min-height: var(--w5);
  padding: 0 var(--edge);
  border-bottom: var(--line);
}
.over {
  border-top: var(--focus-line);
}
.own {
  background: var(--band);
  box-shadow: inset var(--s1) 0 0 var(--ink);
}
.stroke {
  justify-self: center;
  stroke: var(--ink);
  stroke-width: 2.4;
}
/* A title is what an owner knows a result by, and a reason why it is what it is: they are whole, on two lines where
   they have to be. */
.name,
.says {
  line-height: 1.25;
}
.taken .name,
.own .name {
  font-weight: 600;
}
.aside .name {
  text-decoration: line-through;
  text-decoration-thickness: var(--hair);
  color: var(--ink-soft);
}
.address {
  line-height: var(--s6);
}
.address:not(:hover) {
  text-decoration: none;
}
@media (max-width: 760px) {
  .row {
    min-width: var(--w125);
  }
}
</style>
