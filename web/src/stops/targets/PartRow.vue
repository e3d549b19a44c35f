<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
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
    :class="{ 'at-hand': at, dropped: part.choice.state === 'dropped' }"
    :data-part="part.key"
    :data-state="part.choice.state"
  >
    <span class="name" role="gridcell">{{ part.name }}</span>
    <form v-if="editing" class="says slim" role="gridcell" @submit.prevent="save">
      <input
        ref="field"
        v-model="value"
        class="field"
        name="value"
        aria-label="New text"
        @keydown.esc.stop="$emit('edit')"
      />
      <ActionButton quiet submit>Change</ActionButton>
    </form>
    <span v-else class="says slim" role="gridcell" :title="part.note">
      <span v-if="part.before">{{ part.before }}</span>
      <span v-if="part.pencil" class="penciled" :class="{ mono: part.kind === 'image_names' }">{{
        part.pencil
      }}</span>
      <span v-if="part.after">{{ part.after }}</span>
      <span v-if="part.choice.state === 'changed'" class="soft">changed by hand</span>
      <span v-if="part.note" class="soft note t-small">{{ part.note }}</span>
    </span>
    <span class="num" role="gridcell">
      <button
        class="num gain opens quiet to-right pad-0 sides-0"
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
  grid-template-columns: var(--w15) minmax(0, 1fr) var(--w9) var(--w11) var(--w12);
  gap: var(--s3);
  align-items: center;
  min-height: var(--w4);
  padding: var(--s0) var(--edge) var(--s0) var(--s3);
}
/* It reads as one sentence, on as many lines as it needs. */
.says > span {
  margin-right: var(--s2);
}
form.says {
  display: flex;
  gap: 0 var(--s2);
}
.says .field {
  flex: 1;
  min-width: 0;
}
.mono {
  font-size: var(--small);
}
.dropped .says {
  text-decoration: line-through;
  color: var(--ink-soft);
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
