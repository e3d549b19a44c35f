<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { Choice, GainUnit, Target } from '@/api/client'
import { duration, gain, plural } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** One target as a plain instruction, with its evidence, gain and effort. */
const props = defineProps<{
  target: Target
  unit: GainUnit
  unitNote: string
  number: number
  at: boolean
  editing: boolean
}>()
const emit = defineEmits<{ keep: []; drop: []; edit: []; say: [choice: Choice] }>()

const row = ref<HTMLElement>()
const field = ref<HTMLInputElement>()
const value = ref('')
const inside = ref(false)

watch(
  () => props.at,
  (at) => at && row.value?.scrollIntoView({ block: 'nearest' }),
)
watch(
  () => props.editing,
  async (editing) => {
    if (!editing) return
    value.value = props.target.choice.value || props.target.pencil
    await nextTick()
    field.value?.focus()
  },
)

function save() {
  const said = value.value.trim()
  emit('say', said && said !== props.target.wanted ? { state: 'changed', value: said } : { state: 'open' })
}
</script>

<template>
  <li
    ref="row"
    class="row"
    :class="{ below: !target.fits, dropped: target.choice.state === 'dropped', at }"
    :data-target="target.key"
    :data-fits="target.fits"
  >
    <span class="num soft">{{ number }}</span>
    <div class="what">
      <div class="says">
        <span v-if="target.first" class="stamp">fix first</span>
        <span class="before">{{ target.before }}</span>
        <form v-if="editing" @submit.prevent="save">
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
        <span v-else-if="target.pencil" class="penciled" :class="{ mono: target.kind === 'image_names' }">{{
          target.pencil
        }}</span>
        <span v-if="!editing && target.after">{{ target.after }}</span>
        <TallyStrokes
          v-if="target.words"
          class="strokes"
          :words="0"
          :write="target.words.to_write"
          :height="15"
        />
      </div>
      <div class="soft evidence" :title="target.evidence">
        <template v-if="target.choice.state === 'dropped'"
          >dropped<template v-if="target.choice.reason">: {{ target.choice.reason }}</template> ·
        </template>
        <template v-if="target.choice.state === 'changed'">changed by hand · </template>
        {{ target.evidence }}
        <button v-if="target.parts?.length" class="link" type="button" @click="inside = !inside">
          {{ inside ? 'Hide parts' : plural(target.parts.length, 'part') }}
        </button>
      </div>
      <ul v-if="inside" class="parts">
        <li v-for="p in target.parts" :key="p.key">
          {{ p.name }}: <span class="penciled">{{ p.phrase }}</span>
        </li>
      </ul>
    </div>
    <span class="num gain" :title="unitNote">
      <template v-if="target.gain > 0"
        ><span class="figure">{{ gain(target.gain) }}</span
        ><template v-if="unit === 'share'">%</template></template
      >
      <template v-else>—</template>
    </span>
    <span class="num time">{{ duration(target.minutes) }}</span>
    <span class="marks">
      <button
        type="button"
        :aria-pressed="target.choice.state === 'kept'"
        title="Keep (y)"
        @click="$emit('keep')"
      >
        <span class="unseen">Keep</span>✓
      </button>
      <button
        type="button"
        :aria-pressed="target.choice.state === 'changed'"
        :disabled="!!target.words"
        title="Change (e)"
        @click="$emit('edit')"
      >
        <span class="unseen">Change</span>±
      </button>
      <button
        type="button"
        :aria-pressed="target.choice.state === 'dropped'"
        title="Drop (x)"
        @click="$emit('drop')"
      >
        <span class="unseen">Drop</span>×
      </button>
    </span>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr) 80px 84px 122px;
  gap: 14px;
  align-items: center;
  min-height: 49px;
  padding: 4px var(--edge);
  border-bottom: 1px solid var(--rule);
}
.row:nth-of-type(even) {
  background: var(--band);
}
.says {
  display: flex;
  align-items: center;
  gap: 7px;
  font-size: 14.5px;
  min-width: 0;
}
.before {
  font-weight: 600;
  white-space: nowrap;
}
.says .mono {
  font-size: 13px;
}
.says form {
  display: flex;
  gap: 12px;
  flex: 1;
}
.strokes {
  margin-left: 8px;
}
.evidence {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 12.5px;
}
.evidence .link {
  margin-left: 8px;
}
.parts {
  margin: 6px 0 4px;
  padding-left: 18px;
}
.gain .figure {
  font-size: 17px;
}
.marks {
  display: flex;
  gap: 6px;
  justify-content: flex-end;
}
.marks button {
  width: 28px;
  height: 26px;
  background: none;
  border: 1px solid var(--rule);
  border-radius: 2px;
  cursor: pointer;
  color: var(--ink-soft);
}
.marks button:hover:not(:disabled) {
  border-color: var(--ink);
  color: var(--ink);
}
.marks button:disabled {
  cursor: default;
  opacity: 0.35;
}
.marks [aria-pressed='true'] {
  border: 2px solid var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.below .before,
.below .figure,
.below .time,
.below .gain {
  color: var(--ink-soft);
  font-weight: 400;
}
.dropped .says {
  text-decoration: line-through;
}
@media (max-width: 760px) {
  .row {
    grid-template-columns: 20px auto auto 1fr;
    padding: 8px 12px;
    gap: 6px 12px;
  }
  .what {
    grid-column: 2 / -1;
  }
  .says {
    flex-wrap: wrap;
  }
  .before,
  .evidence {
    white-space: normal;
  }
  .gain {
    grid-column: 2;
  }
}
.at {
  box-shadow: inset 4px 0 0 var(--pencil);
}
</style>
