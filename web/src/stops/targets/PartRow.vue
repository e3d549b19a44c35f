<script setup lang="ts">
import type { Choice, GainUnit, Part } from '@/api/types'
import { nextTick, ref, watch } from 'vue'
import { duration, gain } from '@/parts/format'
import ChoiceMarks from './ChoiceMarks.vue'

/** One part of an open target: changed, kept or dropped by itself. */
const props = defineProps<{
  part: Part
  unit: GainUnit
  /** Its key among the rows, whether it is at hand, and whether Tab comes to it. */
  row: string
  at: boolean
  tabbed: boolean
  editing: boolean
  asked: boolean
}>()
const emit = defineEmits<{ keep: []; drop: []; edit: []; why: []; say: [choice: Choice, from: Choice] }>()

const line = ref<HTMLElement>()
const field = ref<HTMLInputElement>()
const value = ref('')
let from: Choice = { state: 'open' }
watch(
  () => props.at,
  (at) => at && line.value?.scrollIntoView({ block: 'nearest' }),
)
watch(
  () => props.editing,
  async (editing) => {
    if (!editing) return line.value?.focus()
    from = { ...props.part.choice }
    value.value = props.part.choice.value || props.part.pencil
    await nextTick()
    field.value?.focus()
  },
)

const changeable = () => props.part.pencil !== ''

function save() {
  const typed = value.value.trim()
  emit('say', typed ? { state: 'changed', value: typed } : { state: 'open' }, from)
}
</script>

<template>
  <div
    ref="line"
    class="part"
    role="row"
    aria-level="2"
    :tabindex="tabbed ? 0 : -1"
    :data-row="row"
    :class="{ at, dropped: part.choice.state === 'dropped' }"
    :data-part="part.key"
    :data-state="part.choice.state"
  >
    <span class="name" role="gridcell">{{ part.name }}</span>
    <form v-if="editing" class="says" role="gridcell" @submit.prevent="save">
      <input
        ref="field"
        v-model="value"
        class="field"
        name="value"
        aria-label="New text"
        @keydown.esc.stop="$emit('edit')"
      />
      <button class="link" type="submit">Change</button>
    </form>
    <span v-else class="says" role="gridcell" :title="part.note">
      <span v-if="part.before">{{ part.before }}</span>
      <span v-if="part.pencil" class="penciled" :class="{ mono: part.kind === 'image_names' }">{{
        part.pencil
      }}</span>
      <span v-if="part.after">{{ part.after }}</span>
      <span v-if="part.choice.state === 'changed'" class="soft">changed by hand</span>
      <span v-if="part.note" class="soft note">{{ part.note }}</span>
    </span>
    <span class="num" role="gridcell">
      <button
        class="num gain quiet"
        type="button"
        title="Open the sum"
        :aria-pressed="asked"
        @click="$emit('why')"
      >
        <template v-if="part.gain > 0"
          >{{ gain(part.gain) }}<template v-if="unit === 'share'">%</template></template
        >
        <template v-else>—</template>
      </button>
    </span>
    <span class="num soft" role="gridcell">{{ part.minutes ? duration(part.minutes) : '' }}</span>
    <ChoiceMarks
      role="gridcell"
      small
      :choice="part.choice"
      :fixed="!changeable()"
      @keep="$emit('keep')"
      @edit="$emit('edit')"
      @drop="$emit('drop')"
    />
  </div>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr) 72px 84px 98px;
  gap: 12px;
  align-items: center;
  min-height: 29px;
  padding: 2px var(--edge) 2px 14px;
}
.says {
  min-width: 0;
}
/* It reads as one sentence, on as many lines as it needs. */
.says > span {
  margin-right: 6px;
}
form.says {
  display: flex;
  gap: 0 6px;
}
.says .field {
  flex: 1;
  min-width: 0;
}
.mono {
  font-size: 12.5px;
}
.note {
  font-size: 12.5px;
}
.gain {
  text-align: right;
  padding: 1px 0;
  border-bottom: 1px dotted transparent;
}
.gain:hover,
.gain[aria-pressed='true'] {
  border-bottom-color: var(--ink);
}
.dropped .says {
  text-decoration: line-through;
  color: var(--ink-soft);
}
.part:focus-visible {
  outline: 2px solid var(--pencil);
  outline-offset: -2px;
}
.at {
  box-shadow: inset 4px 0 0 var(--pencil);
}
@container (max-width: 620px) {
  .part {
    row-gap: 0;
    grid-template-columns: 1fr auto auto auto;
  }
  .says {
    grid-column: 1 / -1;
    grid-row: 2;
    flex-wrap: wrap;
    white-space: normal;
  }
}
</style>
