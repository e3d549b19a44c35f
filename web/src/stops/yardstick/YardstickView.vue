<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { presetsOptions } from '@/api/calls'
import type { Figure, FigureChanges, Ground, PlanChange } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { useCommands } from '@/parts/keys'
import { useUndo } from '@/parts/undo'
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
  <main class="yardstick">
    <div class="top">
      <PlanLeaves :client="client" />
      <nav class="whose" aria-label="Whose figures">
        <button type="button" class="quiet" :aria-pressed="!all" @click="all = false">
          {{ ground.name }}
        </button>
        <button type="button" class="quiet" :aria-pressed="all" @click="all = true">All clients</button>
      </nav>
      <input
        v-model="words"
        class="field"
        name="figures"
        placeholder="find a figure"
        aria-label="Find a figure"
      />
      <label><input v-model="only" type="checkbox" name="changed" /> changed ({{ changed.length }})</label>
      <span class="space"></span>
      <a class="link" :href="`/api/yardstick.yaml?client=${all ? 0 : client}`">Save as YAML</a>
      <button class="link" type="button" @click="picker?.click()">Read YAML</button>
      <button v-if="changed.length" class="link" type="button" @click="restoreAll">All by default</button>
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
    <NoticeLine :fault="failure" class="said" />
    <EditFault class="said" :fault="refused()" :again="edit.again.value" />
    <div class="presets">
      <span class="soft">Presets for the word target:</span>
      <button v-for="p in presets" :key="p.says" class="link" type="button" @click="look(p.says, p.changes)">
        {{ p.says }}
      </button>
    </div>
    <div v-if="trying" class="trying" data-trying>
      <b>{{ trying.says }}</b>
      <PlanEffect :effect="trying.effect" />
      <button class="link" type="button" @click="put(trying.says, trying.changes)">Keep</button>
      <button class="link" type="button" @click="trying = null">Cancel</button>
    </div>
    <div class="columns">
      <section v-for="g in groups" :key="g.title">
        <h2>{{ g.title }}</h2>
        <div v-for="f in g.figures" :key="f.key" class="one" :data-figure="f.key">
          <button
            class="line quiet"
            :class="{ text: isText(f) }"
            type="button"
            :aria-expanded="editing === f.key"
            @click="editing = editing === f.key ? '' : f.key"
          >
            <span class="says">{{ f.says }}</span>
            <span class="rule soft" :title="`Rule ${f.rule}`">{{ f.rule }}</span>
            <span
              class="num"
              :class="{ penciled: differs(f) }"
              :title="f.unit === 'line' ? f.value : undefined"
              >{{ shownValue(f) }}</span
            >
            <span class="unit soft">{{ unitOf(f) }}</span>
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
  gap: 6px 18px;
  align-items: center;
  padding: 9px var(--edge);
}
.top {
  border-bottom: 1px solid var(--ink);
}
.whose {
  display: flex;
  gap: 14px;
}
.whose button {
  padding: 3px 0;
  color: var(--ink-soft);
}
.whose [aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  border-bottom: 2px solid var(--ink);
}
.space {
  flex: 1;
}
.top .field {
  width: 190px;
}
@media (max-width: 1100px) {
  .top {
    column-gap: 12px;
  }
  .top .field {
    width: 104px;
  }
}
.said {
  margin: 0;
  padding: 8px var(--edge);
}
.trying {
  margin: 0 var(--edge) 8px;
  padding: 8px 12px;
  max-width: 640px;
  border-left: 2px dashed var(--pencil);
}
.trying .link {
  margin-right: 14px;
}
.columns {
  columns: 2 420px;
  column-gap: 40px;
  padding: 0 var(--edge) 40px;
}
section {
  break-inside: avoid-column;
  padding-top: 14px;
}
h2 {
  font-size: 15px;
  margin: 0 0 3px;
  border-bottom: 1px solid var(--ink);
}
.one {
  border-bottom: 1px solid var(--rule);
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 34px 88px 92px;
  gap: 8px;
  width: 100%;
  min-height: 28px;
  align-items: baseline;
  text-align: left;
  padding: 3px 0;
}
.line.text {
  grid-template-columns: minmax(0, 1fr) 34px minmax(0, 188px);
}
.line.text .unit {
  display: none;
}
.rule {
  font-size: 11px;
}
.unit {
  font-size: 12px;
}
.num {
  text-align: right;
}
</style>
