<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { presetsOptions } from '@/api/calls'
import type { Figure, FigureChanges, Ground, PlanChange } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { useCommands } from '@/parts/keys'
import { useUndo } from '@/parts/undo'
import TabRow from '@/ui/TabRow.vue'
import PlanLeaves from '../targets/PlanLeaves.vue'
import FigureEdit from './FigureEdit.vue'
import { isText, shownValue, unitOf } from './figure'
import PlanEffect from './PlanEffect.vue'
import { useFigureChanges, useFigures } from './useFigures'

/** All figures that targets are worked out by, of this client or of all clients. */
const props = defineProps<{ client: number; ground: Ground }>()
const all = ref(false)
const { figures, error } = useFigures(() => (all.value ? 0 : props.client))
const { data: presets } = useQuery(presetsOptions())
const { preview, change, read, refused, failed } = useFigureChanges(
  () => props.client,
  () => all.value,
)
const undo = useUndo()
const editing = ref('')
const words = ref('')
const picker = ref<HTMLInputElement>()

/** Whether a figure is of use for the client: a text in another language is not. */
const language = computed(() => (props.ground.language ?? '').toLowerCase().split('-')[0] || 'en')
const ofTheirs = (f: Figure) => !f.language || f.language === language.value
const differs = (f: Figure) => f.value !== f.default
const changed = computed(() => (figures.value ?? []).filter(differs))
const only = ref(false)
const groups = computed(() => {
  const asked = words.value.toLowerCase().split(' ').filter(Boolean)
  const out: { title: string; figures: Figure[] }[] = []
  for (const f of figures.value ?? []) {
    const text = `${f.group} ${f.says} ${f.key} ${f.rule}`.toLowerCase()
    if ((only.value && !differs(f)) || !asked.every((w) => text.includes(w))) continue
    if (!all.value && !asked.length && !differs(f) && !ofTheirs(f)) continue
    const group = out.find((g) => g.title === f.group)
    if (group) group.figures.push(f)
    else out.push({ title: f.group, figures: [f] })
  }
  return out
})

/** A preset whose effect is being looked at. */
const trying = ref<{ says: string; changes: FigureChanges; effect: PlanChange } | null>(null)
async function look(says: string, changes: FigureChanges) {
  const effect = await preview(changes).catch(() => null)
  trying.value = effect && { says, changes, effect }
}

/** The figures that changes change. */
const of = (changes: FigureChanges) => (figures.value ?? []).filter((f) => f.key in changes)
const valuesOf = (list: Figure[], value: (f: Figure) => string): FigureChanges =>
  Object.fromEntries(list.map((f) => [f.key, value(f)]))
/** What brings figures back to what they are now. */
const backTo = (list: Figure[]) => valuesOf(list, (f) => (differs(f) ? f.value : ''))

const edit = useEdit()
async function put(says: string, to: FigureChanges) {
  let back: FigureChanges = {}
  const now = valuesOf(of(to), (f) => to[f.key] || f.default)
  const ok = await edit.make(() => {
    const list = of(to)
    back = backTo(list)
    return change(
      to,
      valuesOf(list, (f) => f.value),
    )
  })
  trying.value = null
  if (ok) undo.offer(says, () => change(back, now))
}

const restoreAll = () =>
  put('All figures by default', Object.fromEntries(changed.value.map((f) => [f.key, ''])))

useCommands([
  { key: '', says: 'Read figures from YAML', run: () => picker.value?.click() },
  { key: '', says: 'All figures by default', run: () => changed.value.length && restoreAll() },
  { key: '', says: 'Figures of all clients, or of this one', run: () => (all.value = !all.value) },
])

async function take() {
  const file = picker.value?.files?.[0]
  if (picker.value) picker.value.value = ''
  if (!file) return
  const back = backTo(figures.value ?? [])
  const now = await read(await file.text()).catch(() => null)
  if (now)
    undo.offer(`Figures of ${file.name} read`, () =>
      change(
        back,
        valuesOf(now, (f) => f.value),
      ),
    )
}
const failure = computed(() => error.value ?? failed())
</script>

<template>
  <main id="main" class="yardstick">
    <div class="top ink-below">
      <PlanLeaves :client="client" />
      <TabRow
        :tabs="[
          { key: 'client', says: ground.name },
          { key: 'all', says: 'All clients' },
        ]"
        :at="all ? 'all' : 'client'"
        label="Whose figures"
        @choose="all = $event === 'all'"
      />
      <input
        v-model="words"
        class="field"
        name="figures"
        placeholder="find a figure"
        aria-label="Find a figure"
      />
      <label><input v-model="only" type="checkbox" name="changed" /> changed ({{ changed.length }})</label>
      <span class="space grow"></span>
      <ActionButton quiet :href="`/api/yardstick.yaml?client=${all ? 0 : client}`">Save as YAML</ActionButton>
      <ActionButton quiet @click="picker?.click()">Read YAML</ActionButton>
      <ActionButton v-if="changed.length" quiet @click="restoreAll">All by default</ActionButton>
      <input
        ref="picker"
        class="unseen"
        type="file"
        name="yaml"
        tabindex="-1"
        aria-label="Yardstick as YAML"
        accept=".yaml,.yml,.txt"
        @change="take"
      />
    </div>
    <NoticeLine :fault="failure" class="pad-2 edge" />
    <EditFault class="pad-2 edge" :fault="refused()" :again="edit.again.value" />
    <div class="presets">
      <span class="soft">Presets:</span>
      <ActionButton v-for="p in presets" :key="p.says" quiet @click="look(p.says, p.changes)">
        {{ p.says }}
      </ActionButton>
    </div>
    <div v-if="trying" class="trying pad-2 sides-3" data-trying>
      <b>{{ trying.says }}</b>
      <PlanEffect :effect="trying.effect" />
      <ActionButton quiet @click="put(trying.says, trying.changes)">Keep</ActionButton>
      <ActionButton quiet @click="trying = null">Cancel</ActionButton>
    </div>
    <div class="columns">
      <section v-for="g in groups" :key="g.title">
        <h2 class="t-lead ink-below">{{ g.title }}</h2>
        <div v-for="f in g.figures" :key="f.key" class="one line-below" :data-figure="f.key">
          <button
            class="line quiet grid gap-2 full on-base to-left pad-1 sides-0"
            :class="{ text: isText(f) }"
            type="button"
            :aria-expanded="editing === f.key"
            @click="editing = editing === f.key ? '' : f.key"
          >
            <span class="says">{{ f.says }}</span>
            <span class="rule soft t-small" :title="`Rule ${f.rule}`">{{ f.rule }}</span>
            <span
              class="num to-right"
              :class="{ penciled: differs(f) }"
              :title="f.unit === 'line' ? f.value : undefined"
              >{{ shownValue(f) }}</span
            >
            <span class="unit soft t-small">{{ unitOf(f) }}</span>
          </button>
          <FigureEdit
            v-if="editing === f.key"
            :client="client"
            :figure="f"
            :workspace="all"
            @done="editing = ''"
          />
        </div>
      </section>
      <p v-if="figures && !groups.length" class="soft">No matches</p>
    </div>
  </main>
</template>

<style scoped>
.top,
.presets {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s2) var(--s4);
  align-items: center;
  padding: var(--s2) var(--edge);
}
.top .field {
  width: var(--w24);
}
@media (max-width: 1100px) {
  .top {
    column-gap: var(--s3);
  }
  .top .field {
    width: var(--w13);
  }
}
.trying {
  margin: 0 var(--edge) var(--s2);
  max-width: var(--w80);
  border-left: var(--thick-pencil-line);
}
.trying .link {
  margin-right: var(--s3);
}
.columns {
  columns: 2 var(--w52);
  column-gap: var(--s10);
  padding: 0 var(--edge) var(--s10);
}
section {
  break-inside: avoid-column;
  padding-top: var(--s3);
}
.line {
  grid-template-columns: minmax(0, 1fr) var(--w5) var(--w11) var(--w12);
  min-height: var(--w4);
}
.line.text {
  grid-template-columns: minmax(0, 1fr) var(--w5) minmax(0, var(--w24));
}
.line.text .unit {
  display: none;
}
</style>
