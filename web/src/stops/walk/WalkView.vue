<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { groundOptions, walkOptions } from '@/api/calls'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { isField, useCommands } from '@/parts/keys'
import { useViewTitle } from '@/parts/title'
import NoticeLine from '@/ui/NoticeLine.vue'
import FigureRow from './FigureRow.vue'
import StepBody from './StepBody.vue'
import StepEditor from './StepEditor.vue'
import WalkFoot from './WalkFoot.vue'
import { useClock } from './useClock'
import { useSpeaker } from './useSpeaker'

/** The walk-through: full screen, one thing a step, told by arrow keys; the address says which step it is at. */
const props = defineProps<{ client: number }>()
defineEmits<{ help: []; find: [] }>()
const route = useRoute()
const router = useRouter()
const { data: walk, error } = useQuery(() => walkOptions({ path: { client: props.client } }))
const { data: ground } = useQuery(() => groundOptions({ path: { client: props.client } }))
useViewTitle(() => walk.value?.client, 'Walk-through')

const steps = computed(() => walk.value?.steps ?? [])
const at = computed(() =>
  Math.max(
    0,
    steps.value.findIndex((s) => s.key === route.query.step),
  ),
)
const step = computed(() => steps.value[at.value])
const notes = useLocalStorage('talking points', true)
const clock = useClock()
const head = ref<HTMLElement>()
const editing = ref(false)

function to(n: number) {
  const next = steps.value[Math.min(Math.max(n, 0), steps.value.length - 1)]
  if (!next || next === step.value) return
  clock.run()
  toKey(next.key)
}
const toKey = (key: string) => void router.replace({ query: { step: key } })
/** Back to where the walk-through was begun. */
const leave = () =>
  router.push(
    walk.value?.page
      ? { name: 'hand-off', params: { client: props.client } }
      : { name: 'targets', params: { client: props.client } },
  )

const moves: Record<string, () => void> = {
  ArrowRight: () => to(at.value + 1),
  PageDown: () => to(at.value + 1),
  ArrowLeft: () => to(at.value - 1),
  PageUp: () => to(at.value - 1),
  Home: () => to(0),
  End: () => to(steps.value.length - 1),
}
/* Arrows move from step to step wherever the focus is. */
useEventListener(window, 'keydown', (e: KeyboardEvent) => {
  const move = moves[e.key]
  if (!move || editing.value || isField(e.target) || e.ctrlKey || e.metaKey || e.altKey) return
  e.preventDefault()
  move()
})
const speaker = useSpeaker(
  () => props.client,
  () => at.value,
  to,
)
useCommands([
  { key: 'ArrowRight', says: 'Next step', run: () => false },
  { key: 'ArrowLeft', says: 'Step before', run: () => false },
  { key: 't', says: 'Show or hide the talking points', run: () => (notes.value = !notes.value) },
  { key: 'p', says: 'Talking points in a window of their own', run: speaker.open },
  { key: 'e', says: 'Change what is said, the order, or add a step', run: () => (editing.value = true) },
  {
    key: 'Escape',
    says: 'Leave the walk-through',
    run: () => (editing.value ? (editing.value = false) : leave()),
  },
])
watch(
  () => step.value?.key,
  () => !editing.value && head.value?.focus({ preventScroll: true }),
  { flush: 'post' },
)
</script>

<template>
  <main id="main" class="walk stacked" :class="{ editing }" :data-step="step?.kind">
    <NoticeLine v-if="error" :fault="error" />
    <template v-else-if="walk && step">
      <h1 ref="head" class="head slab flush" tabindex="-1">{{ step.head }}</h1>
      <div :key="step.key" class="body stacked grow low">
        <StepBody :step="step" :client="client" :name="walk.client" />
      </div>
      <div class="foot">
        <ul v-if="notes" class="points t-head flush" data-points>
          <li v-for="p in step.points" :key="p">{{ p }}</li>
        </ul>
        <FigureRow :step="step" :client="client" :page="walk.page" :money="ground?.money ?? ''" />
        <WalkFoot
          :client="walk.client"
          :at="at"
          :steps="steps.length"
          :minutes="walk.minutes"
          :clock="clock.says.value"
          @to="to"
          @notes="notes = !notes"
          @speaker="speaker.open"
          @clock="clock.reset"
          @leave="leave"
          @change="editing = true"
        />
      </div>
      <StepEditor
        v-if="editing"
        :client="client"
        :walk="walk"
        :at="at"
        @to="toKey"
        @close="editing = false"
      />
    </template>
  </main>
</template>

<style scoped>
.walk {
  height: 100vh;
  padding: var(--s8) var(--w8) var(--s3);
  gap: var(--s4);
}
.editing {
  padding-right: calc(var(--margin) + var(--s8));
}
.head {
  font-size: var(--figure);
  line-height: 1.25;
  font-weight: 600;
  font-variant-numeric: lining-nums;
  white-space: pre-line;
}
.head:focus {
  outline: none;
}
.body {
  overflow: auto;
}
.points {
  border-top: var(--thick-line);
  padding: var(--s3) 0 var(--s2);
  list-style: none;
  color: var(--ink-soft);
  max-height: 30vh;
  overflow: auto;
}
.points li {
  display: inline;
}
.points li::after {
  content: ' ';
}
@media (max-width: 760px) {
  .walk {
    height: auto;
    min-height: 100vh;
    padding: var(--s4);
  }
  .head {
    font-size: var(--title);
  }
}
</style>
