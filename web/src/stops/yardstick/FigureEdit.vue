<script setup lang="ts">
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
    <div class="line">
      <select v-if="figure.unit === 'choice'" v-model="value" class="field" :aria-label="figure.says">
        <option v-for="c in figure.choices" :key="c" :value="c">{{ c.replace('_', ' ') }}</option>
      </select>
      <textarea
        v-else-if="figure.unit === 'lines'"
        v-model="value"
        class="field wide"
        rows="8"
        :aria-label="figure.says"
      ></textarea>
      <input
        v-else-if="figure.unit === 'line'"
        v-model="value"
        class="field wide"
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
      <button class="link" type="submit" :disabled="!changed">Keep</button>
      <button v-if="figure.value !== figure.default" class="link" type="button" @click="keep('')">
        Back to {{ isText(figure) ? 'the default' : figure.default }}
      </button>
      <button class="link" type="button" @click="$emit('done')">Cancel</button>
    </div>
    <p class="soft bounds">{{ boundsOf(figure) }}</p>
    <EditFault v-if="failure" :fault="failure" :again="again" />
    <PlanEffect v-else-if="effect" :effect="effect" />
  </form>
</template>

<style scoped>
.figure-edit {
  padding: 6px 0 8px 10px;
  border-left: 2px dashed var(--pencil);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
.num {
  width: 84px;
}
.wide {
  width: 100%;
}
.bounds {
  margin: 2px 0 0;
  font-size: 12px;
}
</style>
