<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { OutlineSection } from '@/api/types'
import { nextTick, ref } from 'vue'
import { count } from '@/parts/format'
import PlacementMark from '@/parts/PlacementMark.vue'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import TypedField from '@/ui/TypedField.vue'

/** One section of an outline: moved, renamed, given other words, dropped. */
const props = defineProps<{
  section: OutlineSection
  questions: string[]
  first: string
  over: boolean
  /** Sets the words to write, null for the rule's; tells whether they were. */
  setWords: (words: number | null) => Promise<boolean>
}>()
const emit = defineEmits<{
  /** Something is about to be typed. */
  begin: []
  move: [by: number]
  rename: [heading: string]
  dropSection: []
}>()

const renaming = ref(false)
const heading = ref('')
const field = ref<HTMLInputElement>()

async function rename() {
  heading.value = props.section.heading
  renaming.value = true
  emit('begin')
  await nextTick()
  field.value?.select()
}
function saveHeading() {
  renaming.value = false
  const typed = heading.value.trim()
  if (typed !== props.section.heading) emit('rename', typed)
}
async function saveWords(typed: string) {
  const words = Number(typed)
  if (typed === '') return props.setWords(null)
  if (!Number.isInteger(words) || words < 0 || words > 20000) return true
  return props.setWords(words)
}
</script>

<template>
  <div class="section" :class="{ dropped: section.dropped, over }" :data-section="section.key">
    <button
      class="grip quiet soft pad-0 sides-0"
      type="button"
      title="Drag, or Alt and an arrow"
      :aria-label="`Move ${section.heading}`"
      @keydown.alt.up.prevent="$emit('move', -1)"
      @keydown.alt.down.prevent="$emit('move', 1)"
    >
      ⋮⋮
    </button>
    <div class="head">
      <form v-if="renaming" @submit.prevent="saveHeading">
        <input
          ref="field"
          v-model="heading"
          class="field"
          name="heading"
          maxlength="300"
          aria-label="Heading"
          @blur="saveHeading"
          @keydown.esc.stop="renaming = false"
        />
      </form>
      <button
        v-else
        class="quiet heading t-lead to-left pad-0 sides-0"
        :class="section.there ? 'inked' : 'penciled'"
        type="button"
        title="Rename"
        @click="rename"
      >
        {{ section.heading }}
      </button>
      <div v-if="section.kind === 'aspect'" class="soft small t-small">
        {{ section.have }} of {{ section.rivals }} rivals have a section about it
      </div>
      <div v-if="section.kind === 'kept'" class="soft small t-small">it stays as it is</div>
      <div v-if="questions.length" class="soft small t-small">{{ questions.join(' · ') }}</div>
    </div>
    <TallyStrokes
      :words="section.holds"
      :write="section.dropped ? 0 : section.words"
      :height="17"
      :most="4"
    />
    <span class="num soft">{{ section.holds ? count(section.holds) : '' }}</span>
    <span class="num write">
      <TypedField
        class="field num"
        :class="{ set: section.fixed }"
        name="words"
        inputmode="numeric"
        :value="String(section.dropped ? 0 : section.words)"
        :save="saveWords"
        :disabled="section.dropped"
        :aria-label="`Words to write: ${section.heading}`"
        :title="section.fixed ? 'Set by you. Empty it for the rule’s.' : 'Words to write'"
        @focus="$emit('begin')"
      />
    </span>
    <div class="families">
      <div v-if="first" class="family grid gap-3 lines-0 on-mid t-text">
        <span class="soft">first phrase: {{ first }}</span>
      </div>
      <div v-for="f in section.families" :key="f.key" class="family grid gap-3 lines-0 on-mid t-text">
        <span>{{ f.phrase }}</span>
        <PlacementMark both :placement="f.placement ?? undefined" :wanted="f.slots" />
      </div>
    </div>
    <ActionButton quiet @click="$emit('dropSection')">
      {{ section.dropped ? 'Restore' : section.added ? 'Remove' : 'Drop' }}
    </ActionButton>
  </div>
</template>

<style scoped>
.section {
  display: grid;
  grid-template-columns: var(--s5) minmax(0, 1.1fr) var(--w16) var(--w8) var(--w12) minmax(0, 1.15fr) var(
      --w9
    );
  gap: var(--s3);
  align-items: center;
  min-height: var(--w6);
  padding: var(--s1) var(--edge);
  border-bottom: var(--line);
}
.section:nth-of-type(even) {
  background: var(--band);
}
.over {
  box-shadow: inset 0 var(--s0) 0 var(--pencil);
}
.grip {
  cursor: grab;
}
.inked {
  font-weight: 600;
}
.write .field {
  width: var(--w9);
}
.set {
  border-bottom: var(--focus-line);
  color: var(--pencil);
}
.family {
  grid-template-columns: minmax(0, 1fr) auto;
}
.family span:only-child {
  grid-column: span 2;
}
@media (max-width: 1100px) {
  .family {
    grid-template-columns: minmax(0, 1fr);
  }
}
.dropped .heading {
  text-decoration: line-through;
  color: var(--ink-soft);
}
@media (max-width: 760px) {
  .section {
    grid-template-columns: var(--s5) 1fr auto;
  }
}
</style>
