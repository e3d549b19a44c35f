<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { named } from '@/ui/choices'
import ActionButton from '@/ui/ActionButton.vue'
import type { Figure, PlanChange } from '@/api/types'
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { changedElsewhere, useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { useTyped } from '@/parts/typed'
import { useUndo } from '@/parts/undo'
import { boundsOf, isText, unitOf } from './figure'
import PlanEffect from './PlanEffect.vue'
import { useFigureChanges } from './useFigures'

/** A figure of the yardstick in place: what would follow is seen before it is kept. */
const props = defineProps<{ client: number; figure: Figure; workspace?: boolean }>()
const emit = defineEmits<{ done: [] }>()

const { preview, change, refused, failed } = useFigureChanges(
  () => props.client,
  () => props.workspace ?? false,
)
const undo = useUndo()
const { make, again } = useEdit()
const { form, was, tell } = useTyped(() => ({ value: props.figure.value }))
const value = computed({ get: () => form.value!.value, set: (to) => (form.value = { value: to }) })
const effect = ref<PlanChange | null>(null)
const changed = computed(() => value.value.trim() !== props.figure.value)

const look = useDebounceFn(async () => {
  const typed = value.value
  effect.value = null
  if (!changed.value) return
  const seen = await preview({ [props.figure.key]: typed }).catch(() => null)
  if (typed === value.value) effect.value = seen // another one may have been typed by now
}, 150)
watch(value, look)

async function keep(to: string) {
  const { key, says } = props.figure
  let from = ''
  const ok = await make(() => {
    from = was()!.value
    return change({ [key]: to }, { [key]: from }).catch((failure) => {
      if (changedElsewhere(failure)) tell()
      throw failure
    })
  })
  if (!ok) return
  const back = from === props.figure.default ? '' : from
  const now = to || props.figure.default
  undo.offer(isText(props.figure) ? says : `${says}: ${now}`, () => change({ [key]: back }, { [key]: now }))
  effect.value = null
  emit('done')
}
const failure = computed(() => refused() ?? failed())
</script>

<template>
  <form class="figure-edit" @submit.prevent="keep(value.trim())" @keydown.esc.stop="$emit('done')">
    <div class="line flow wrap gap-2 lines-1 on-mid">
      <ChoiceBox
        v-if="figure.unit === 'choice'"
        v-model="value"
        class="field"
        :label="figure.says"
        :options="named(figure.choices ?? [], (c) => c.replace('_', ' '))"
      />
      <textarea
        v-else-if="figure.unit === 'lines'"
        v-model="value"
        class="field wide full"
        rows="8"
        :aria-label="figure.says"
      ></textarea>
      <input
        v-else-if="figure.unit === 'line' || figure.unit === 'tags'"
        v-model="value"
        class="field wide full"
        :name="figure.key"
        :aria-label="figure.says"
      />
      <input
        v-else
        v-model="value"
        class="field num"
        :name="figure.key"
        inputmode="decimal"
        :aria-label="figure.says"
      />
      <span class="soft">{{ unitOf(figure) }}</span>
      <ActionButton quiet submit :disabled="!changed">Keep</ActionButton>
      <ActionButton v-if="figure.value !== figure.default" quiet @click="keep('')">
        Back to {{ isText(figure) ? 'the default' : figure.default }}
      </ActionButton>
      <ActionButton quiet @click="$emit('done')">Cancel</ActionButton>
    </div>
    <p class="soft bounds t-small">{{ boundsOf(figure) }}</p>
    <EditFault v-if="failure" :fault="failure" :again="again" />
    <PlanEffect v-else-if="effect" :effect="effect" />
  </form>
</template>

<style scoped>
.figure-edit {
  padding: var(--s2) 0 var(--s2) var(--s2);
  border-left: var(--thick-pencil-line);
}
.num {
  width: var(--w11);
}
.bounds {
  margin: var(--s0) 0 0;
}
</style>
