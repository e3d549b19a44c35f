<script setup lang="ts">
import type { OutlineSection } from '@/api/types'
import { nextTick, ref } from 'vue'
import { count } from '@/parts/format'
import PlacementMark from '@/parts/PlacementMark.vue'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import TypedField from '@/parts/TypedField.vue'

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
      class="grip quiet"
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
        class="quiet heading"
        :class="section.there ? 'inked' : 'penciled'"
        type="button"
        title="Rename"
        @click="rename"
      >
        {{ section.heading }}
      </button>
      <div v-if="section.kind === 'aspect'" class="soft small">
        {{ section.have }} of {{ section.rivals }} rivals have a section about it
      </div>
      <div v-if="section.kind === 'kept'" class="soft small">it stays as it is</div>
      <div v-if="questions.length" class="soft small">{{ questions.join(' · ') }}</div>
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
      <div v-if="first" class="family">
        <span class="soft">first phrase: {{ first }}</span>
      </div>
      <div v-for="f in section.families" :key="f.key" class="family">
        <span>{{ f.phrase }}</span>
        <PlacementMark both :placement="f.placement ?? undefined" :wanted="f.slots" />
      </div>
    </div>
    <button class="link" type="button" @click="$emit('dropSection')">
      {{ section.dropped ? 'Restore' : section.added ? 'Remove' : 'Drop' }}
    </button>
  </div>
</template>

<style scoped>
.section {
  display: grid;
  grid-template-columns: 20px minmax(0, 1.1fr) 130px 62px 92px minmax(0, 1.15fr) 66px;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  padding: 5px var(--edge);
  border-bottom: 1px solid var(--rule);
}
.section:nth-of-type(even) {
  background: var(--band);
}
.over {
  box-shadow: inset 0 2px 0 var(--pencil);
}
.grip {
  cursor: grab;
  color: var(--ink-soft);
  letter-spacing: -2px;
  padding: 2px 0;
}
.heading {
  font-size: 15px;
  text-align: left;
  padding: 0;
}
.inked {
  font-weight: 600;
}
.small {
  font-size: 12.5px;
}
.write .field {
  width: 74px;
}
.set {
  border-bottom: 2px solid var(--pencil);
  color: var(--pencil);
}
.family {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  align-items: center;
  font-size: 13px;
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
    grid-template-columns: 20px 1fr auto;
  }
}
</style>
