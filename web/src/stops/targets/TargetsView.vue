<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Choice, Ground, Target } from '@/api/client'
import { useChanges } from '@/api/changes'
import { useTargets } from '@/api/queries'
import { duration, gain, plural } from '@/parts/format'
import { useShortcuts } from '@/parts/keys'
import { useUndo } from '@/parts/undo'
import TargetRow from './TargetRow.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const {
  data: list,
  error,
  isPending,
} = useTargets(
  () => props.client,
  () => props.page,
)
const { choose, setHours } = useChanges(() => props.client)
const undo = useUndo()
const at = ref(-1)
const editing = ref('')

/** Above the line what fits, in order; below it what does not, and what was dropped. */
const targets = computed(() => {
  const all = list.value?.targets ?? []
  return [...all.filter((t) => t.fits), ...all.filter((t) => !t.fits)]
})
const open = computed(() => targets.value.filter((t) => t.choice.state !== 'dropped'))

/** The cut line stands behind the last target that fits. */
const cut = computed(() => targets.value.filter((t) => t.fits).length)

async function say(t: Target, choice: Choice) {
  const before = { ...t.choice }
  const ok = await choose.mutateAsync({ page: props.page, key: t.key, ...choice }).catch(() => null)
  if (!ok) return // what was typed stays
  if (editing.value === t.key) editing.value = '' // another one may be edited by now
  const said = { kept: 'Kept', changed: 'Changed', dropped: 'Dropped', open: 'Open again' }[choice.state]
  undo.offer(`${said}: ${t.before} ${t.pencil}`, () =>
    choose.mutateAsync({ page: props.page, key: t.key, ...before }),
  )
}

async function hours(event: Event) {
  const field = event.target as HTMLInputElement
  const before = list.value!.hours
  const now = Number(field.value)
  if (field.value.trim() === '' || now === before) {
    field.value = String(before)
    return
  }
  const ok = await setHours.mutateAsync(now).then(
    () => true,
    () => false,
  )
  if (ok) undo.offer(`Hours set to ${now}`, () => setHours.mutateAsync(before))
}

function toggle(t: Target, state: 'kept' | 'dropped') {
  void say(t, { state: t.choice.state === state ? 'open' : state })
}

const move = (by: number) => (at.value = Math.max(0, Math.min(at.value + by, targets.value.length - 1)))
/** Does something with the target at hand, if there is one. */
const withTarget = (act: (t: Target) => unknown) => () => {
  const t = targets.value[at.value]
  return t ? act(t) : false
}
useShortcuts({
  j: () => move(1),
  k: () => move(-1),
  y: withTarget((t) => toggle(t, 'kept')),
  x: withTarget((t) => toggle(t, 'dropped')),
  e: withTarget((t) => (editing.value = t.key)),
})
</script>

<template>
  <main>
    <p v-if="error" class="mistake said">{{ error.message }}</p>
    <p v-else-if="isPending" class="soft said">Loading targets…</p>
    <template v-else-if="list">
      <div class="top">
        <label>
          <span class="hours"
            ><input
              class="figure"
              type="number"
              name="hours"
              min="0"
              max="1000"
              step="0.5"
              :value="list.hours"
              @change="hours"
            /><span class="figure">h</span></span
          >
          <span class="soft">for this client</span>
        </label>
        <div>
          <span class="figure pencil"
            >{{ gain(list.gain) }}<template v-if="list.unit === 'share'">%</template></span
          >
          <span class="soft">{{
            list.unit === 'share' ? 'of the gain above the line, est.' : 'visits a month above the line, est.'
          }}</span>
        </div>
        <div>
          <span class="figure">{{ list.fit }} of {{ open.length }}</span>
          <span class="soft">targets fit</span>
        </div>
        <div>
          <span class="figure">{{ duration(list.minutes) }}</span>
          <span class="soft">for all of them</span>
        </div>
      </div>
      <p v-if="setHours.error.value" class="mistake said" role="alert">{{ setHours.error.value.message }}</p>
      <p v-if="choose.error.value" class="mistake said" role="alert">{{ choose.error.value.message }}</p>
      <div v-if="!targets.length" class="said empty">
        <template v-if="ground.phrases.length">
          Nothing is missing on this page. Measure it again after it changes.
        </template>
        <template v-else>
          What to do on this page will be listed here, most gain per hour first.
          <router-link :to="{ name: 'ground', params: { client } }">Add phrases</router-link> to get started.
        </template>
      </div>
      <div v-if="targets.length" class="captions soft" aria-hidden="true">
        <span>most gain per hour first</span
        ><span class="num">{{ list.unit === 'share' ? 'gain' : 'visits, est.' }}</span
        ><span class="num">time</span><span class="num">keep · change · drop</span>
      </div>
      <ol>
        <template v-for="(t, i) in targets" :key="t.key">
          <li v-if="i === cut" class="cut" aria-hidden="true">
            <span>{{ plural(list.hours, 'hour') }} up to here</span>
            <svg viewBox="0 0 80 10" width="80" height="10">
              <path d="M0 6c10-8 18 6 28 0s18-6 28 0 16 4 24 0" />
            </svg>
            <i></i>
          </li>
          <TargetRow
            :target="t"
            :unit="list.unit"
            :unit-note="list.unit_note"
            :number="i + 1"
            :at="i === at"
            :editing="editing === t.key"
            @keep="toggle(t, 'kept')"
            @drop="toggle(t, 'dropped')"
            @edit="editing = editing === t.key ? '' : t.key"
            @say="say(t, $event)"
          />
        </template>
        <li v-if="targets.length && cut === targets.length" class="cut" aria-hidden="true">
          <span>all of it fits in {{ plural(list.hours, 'hour') }}</span
          ><i></i>
        </li>
      </ol>
    </template>
  </main>
</template>

<style scoped>
.said {
  padding: 14px var(--edge);
}
.empty {
  font-size: 15px;
}
.top {
  display: flex;
  gap: 30px;
  align-items: center;
  padding: 9px var(--edge);
  border-bottom: 1px solid var(--ink);
}
.top > div > span,
.top > label > span {
  display: block;
}
.top .figure {
  font-size: 24px;
  line-height: 1.15;
}
.hours {
  display: flex !important;
  align-items: baseline;
  gap: 4px;
}
.hours input {
  width: 2.2ch;
  text-align: right;
  field-sizing: content;
  min-width: 1ch;
  max-width: 6ch;
  background: none;
  border: 0;
  border-bottom: 1px dashed var(--ink-soft);
  padding: 0;
  appearance: textfield;
}
.hours input:focus {
  outline: none;
  border-bottom: 2px solid var(--pencil);
}
.captions {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 80px 84px 122px;
  gap: 14px;
  padding: 3px var(--edge) 3px 62px;
  font-size: 12px;
  background: var(--band);
  border-bottom: 1px solid var(--rule);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
@media (max-width: 760px) {
  .top {
    flex-wrap: wrap;
    gap: 8px 22px;
  }
  .captions {
    display: none;
  }
}
.cut {
  display: flex;
  align-items: center;
  gap: 12px;
  color: var(--pencil);
  padding: 4px var(--edge);
  height: 30px;
}
.cut i {
  flex: 1;
  border-top: 2px dashed var(--pencil);
}
.cut path {
  fill: none;
  stroke: var(--pencil);
  stroke-width: 1.3;
}
</style>
