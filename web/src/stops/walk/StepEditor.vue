<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import {
  addStepMutation,
  changeStepMutation,
  orderStepsMutation,
  resetStepMutation,
  setStepPictureMutation,
} from '@/api/calls'
import type { Walk } from '@/api/types'
import { computed, ref, watch } from 'vue'
import { duration } from '@/parts/format'
import { chosenPicture } from '@/parts/picture'
import { useUndo } from '@/parts/undo'
import ActionButton from '@/ui/ActionButton.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import SideMargin from '@/ui/SideMargin.vue'

/** What is said to a step, in which order steps are told, which are left out, and steps of one's own. */
const props = defineProps<{ client: number; walk: Walk; at: number }>()
const emit = defineEmits<{ to: [key: string]; close: [] }>()
const step = computed(() => props.walk.steps[props.at]!)
const head = ref('')
const points = ref('')
const asSaid = () => step.value.points.join('\n')
watch(
  () => [step.value.key, step.value.head, asSaid()],
  () => {
    head.value = step.value.head
    points.value = asSaid()
  },
  { immediate: true },
)
const changed = computed(() => head.value !== step.value.head || points.value !== asSaid())
const spoken = computed(() => (head.value + ' ' + points.value).split(/\s+/).filter(Boolean).length / 130)

const said = useMutation(changeStepMutation())
const reset = useMutation(resetStepMutation())
const order = useMutation(orderStepsMutation())
const added = useMutation(addStepMutation())
const pictured = useMutation(setStepPictureMutation())
const failure = computed(
  () =>
    said.error.value ?? reset.error.value ?? order.error.value ?? added.error.value ?? pictured.error.value,
)
const undo = useUndo()
const path = (key = step.value.key) => ({ client: props.client, step: key })
const lines = () => points.value.split('\n').filter((l) => l.trim())

async function save() {
  await said
    .mutateAsync({ path: path(), body: { dropped: false, head: head.value, points: lines() } })
    .catch(() => null)
}
/** Leaves the step out; the next one is shown in its place. */
async function leaveOut() {
  const { key } = step.value
  const next = props.walk.steps[props.at + 1] ?? props.walk.steps[props.at - 1]
  const done = await said.mutateAsync({ path: path(key), body: { dropped: true } }).catch(() => null)
  if (!done) return
  undo.offer('Step left out', () => said.mutateAsync({ path: path(key), body: { dropped: false } }))
  if (next) emit('to', next.key)
}
async function bringBack(key: string) {
  const done = await said.mutateAsync({ path: path(key), body: { dropped: false } }).catch(() => null)
  if (done) emit('to', key)
}
async function move(by: number) {
  const shown = props.walk.steps.map((s) => s.key)
  const other = shown[props.at + by]
  if (!other) return
  const keys = props.walk.order.filter((k) => k !== step.value.key)
  keys.splice(keys.indexOf(other) + (by > 0 ? 1 : 0), 0, step.value.key)
  await order.mutateAsync({ path: { client: props.client }, body: { order: keys } }).catch(() => null)
}
async function add() {
  const had = new Set(props.walk.order)
  const now = await added
    .mutateAsync({
      path: { client: props.client },
      body: { dropped: false, head: 'A step of your own', points: [], behind: step.value.key },
    })
    .catch(() => null)
  const key = now?.order.find((k) => !had.has(k))
  if (key) emit('to', key)
}
const picker = ref<HTMLInputElement>()
async function pick() {
  const picture = await chosenPicture(picker.value)
  if (picture !== null) await pictured.mutateAsync({ path: path(), body: { picture } }).catch(() => null)
}
</script>

<template>
  <SideMargin
    class="editor"
    title="Change the walk-through"
    label="Change the walk-through"
    @close="$emit('close')"
  >
    <form class="stacked gap-3" data-step-editor @submit.prevent="save">
      <label class="as-block soft"
        >Headline
        <textarea v-model="head" class="field" name="head" rows="3" maxlength="300"></textarea>
      </label>
      <label class="as-block soft"
        >Talking points, a line each · {{ duration(spoken) }} to say
        <textarea v-model="points" class="field" name="points" rows="10"></textarea>
      </label>
      <NoticeLine v-if="failure" :fault="failure" />
      <div class="flow gap-3 wrap">
        <ActionButton main submit :disabled="!changed">Save</ActionButton>
        <ActionButton v-if="step.edited" @click="reset.mutate({ path: path() })">As it was made</ActionButton>
        <template v-if="step.kind === 'own'">
          <ActionButton @click="picker?.click()">{{
            step.picture ? 'Change the picture' : 'Add a picture'
          }}</ActionButton>
          <input
            ref="picker"
            class="unseen"
            type="file"
            name="picture"
            tabindex="-1"
            aria-label="Picture, PNG or JPEG"
            accept="image/png,image/jpeg"
            @change="pick"
          />
        </template>
      </div>
      <div class="flow gap-3 wrap line-above pad-3 sides-0">
        <ActionButton :disabled="at === 0" @click="move(-1)">Earlier</ActionButton>
        <ActionButton :disabled="at === walk.steps.length - 1" @click="move(1)">Later</ActionButton>
        <ActionButton @click="leaveOut">Leave this step out</ActionButton>
        <ActionButton @click="add">Add a step after it</ActionButton>
      </div>
      <template v-if="walk.left.length">
        <h3 class="flush">Left out</h3>
        <ul class="flush pad-0 sides-0">
          <li v-for="l in walk.left" :key="l.key" class="flow apart gap-3 line-below pad-1 sides-0">
            <span>{{ l.head }}</span>
            <ActionButton quiet @click="bringBack(l.key)">Bring back</ActionButton>
          </li>
        </ul>
      </template>
    </form>
  </SideMargin>
</template>

<style scoped>
.editor {
  top: 0;
}
</style>
