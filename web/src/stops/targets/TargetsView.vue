<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { planOptions, setHoursMutation } from '@/api/calls'
import type { Choice, Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref, watch } from 'vue'
import { useAddress } from '@/parts/address'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { useCommands } from '@/parts/keys'
import { namesApart } from '@/parts/pages'
import { useRows } from '@/ui/rows'
import { useUndo } from '@/parts/undo'
import { lines, says, type Line, type Order } from './list'
import CutLine from './CutLine.vue'
import DoneList from './DoneList.vue'
import FoldRow from './FoldRow.vue'
import LadderMargin from './LadderMargin.vue'
import OwnTarget from './OwnTarget.vue'
import PartRow from './PartRow.vue'
import RecapList from './RecapList.vue'
import TargetRow from './TargetRow.vue'
import TargetsTop from './TargetsTop.vue'
import { useList } from './useList'
import { useTargetActions } from './useTargetActions'
import WaitingLine from './WaitingLine.vue'
import WhyMargin from './WhyMargin.vue'

/** What all pages must have, in the order that pays; or what one page must have. */
const props = defineProps<{ client: number; ground: Ground }>()
const address = useAddress()
const page = computed(() => address.text('page'))
const { data: plan, error, isPending } = useQuery(() => planOptions({ path: { client: props.client } }))
const setHours = useMutation(setHoursMutation())
const { say, toggle, addOwn, removeOwn, failure, again } = useTargetActions(
  () => props.client,
  () => plan.value,
)
const undo = useUndo()

const order = address.field<Order>('order', 'work')
const dropped = computed({
  get: () => address.text('dropped') !== '',
  set: (shown) => void address.set({ dropped: shown ? 'shown' : '' }),
})
const adding = ref(false)
const open = ref(new Set<string>())
/** The line that is being changed, by its key. */
const editing = ref('')
const ladder = computed(() => address.text('ladder') !== '')
/** The line whose figures are explained. */
const why = computed(() => {
  const target = plan.value?.targets.find((t) => t.id === address.text('why'))
  const part = address.text('part')
  return (
    target && {
      target: target.id,
      part,
      title: says({ target, part: target.parts.find((p) => p.key === part) }),
    }
  )
})
const closeMargin = () => void address.set({ why: '', part: '', ladder: '' })
const showLadder = () =>
  ladder.value ? closeMargin() : void address.set({ why: '', part: '', ladder: 'shown' }, !why.value)

const { picked, list, first, groups, opened, toggleFold } = useList(
  () => plan.value,
  () => page.value,
  () => order.value,
  () => dropped.value,
)
const hasDropped = computed(() => plan.value?.targets.some((t) => t.choice.state === 'dropped') ?? false)
const names = computed(() => namesApart(plan.value?.pages ?? []))
const numbers = computed(() => {
  let n = 0
  return new Map(
    plan.value?.targets.map((t) => [t.id, t.first || t.choice.state === 'dropped' ? '' : String(++n)]),
  )
})

const keyOf = (l: Line) => (l.part ? `${l.target.id} > ${l.part.key}` : l.target.id)
const all = computed(() =>
  plan.value ? groups.value.flatMap((g) => lines([...g.above.targets, ...g.below.targets], open.value)) : [],
)

function toggleOpen(id: string) {
  const next = new Set(open.value)
  if (!next.delete(id)) next.add(id)
  open.value = next
}

function explain(line: Line) {
  if (isAsked(line)) return closeMargin()
  const to = { why: line.target.id, part: line.part?.key ?? '', ladder: '' }
  void address.set(to, !why.value && !ladder.value)
}
const isAsked = (line: Line) =>
  why.value?.target === line.target.id && why.value.part === (line.part?.key ?? '')

async function change(line: Line, choice: Choice, from: Choice) {
  const key = keyOf(line)
  if ((await say(line, choice, from)) && editing.value === key) editing.value = ''
}

const hoursEdit = useEdit()
async function hours(typed: string, from: string) {
  if (typed === '') return true
  const to = Number(typed)
  let was = Number(from)
  const ok = await hoursEdit.make((told) => {
    if (told) was = plan.value!.hours
    return setHours.mutateAsync({ path: { client: props.client }, body: { hours: to, was } }).then(() => true)
  })
  if (ok)
    undo.offer(`Hours set to ${to}`, () =>
      setHours.mutateAsync({ path: { client: props.client }, body: { hours: was, was: to } }),
    )
  return ok !== null
}

/** What is done with a line by the key that is pressed on its row. */
const ofRow: { key: string; says: string; run: (l: Line) => unknown }[] = [
  {
    key: 'Enter',
    says: 'Open the target, or change the part',
    run: (l) => (l.part ? changePart(l) : toggleOpen(l.target.id)),
  },
  { key: ' ', says: 'Keep the target or part', run: (l) => toggle(l, 'kept') },
  { key: 'Delete', says: 'Drop the target or part', run: (l) => toggle(l, 'dropped') },
  {
    key: 'c',
    says: 'Change what the part says',
    run: (l) => (l.part ? changePart(l) : toggleOpen(l.target.id)),
  },
  { key: 'w', says: 'Why: how its gain was worked out', run: explain },
]
const changePart = (l: Line) => (editing.value = l.part?.pencil ? keyOf(l) : '')

const grid = ref<HTMLElement>()
const keysOfRows = () => all.value.map(keyOf)
const rows = useRows(grid, keysOfRows, (key, row) => {
  const line = all.value.find((l) => keyOf(l) === row)
  const act = ofRow.find((a) => a.key === key)
  if (line && act) act.run(line)
  return !!line && !!act
})
const { tabbed } = rows

useCommands([
  { key: 'ArrowDown', says: 'Next target: arrows move from row to row', ofRow: true, run: enterRows },
  ...ofRow.map((a) => ({ key: a.key, says: a.says, ofRow: true, run: () => false })),
  { key: 'n', says: 'New target of your own', run: () => (adding.value = true) },
  { key: 'r', says: 'Rival by rival', run: showLadder },
  { key: '', says: 'Order of work', run: () => (order.value = 'work') },
  { key: '', says: 'By kind of work', run: () => (order.value = 'front') },
  { key: '', says: 'Targets by page', run: () => (order.value = 'page') },
  { key: '', says: 'Show or hide what was dropped', run: () => (dropped.value = !dropped.value) },
  { key: 'Escape', says: 'Close the margin', run: () => (why.value || ladder.value ? closeMargin() : false) },
])
/** Comes to the rows from nowhere, but not from what the arrows scroll. */
function enterRows() {
  if (document.activeElement !== document.body || !tabbed.value) return false
  void rows.focus(tabbed.value)
}
watch(page, () => why.value && closeMargin())

/* A link can ask for the sum of the first target of a kind: ?why=placing. */
watch(
  plan,
  (now) => {
    const first = now?.targets.find((t) => t.kind === address.text('why'))
    if (!first) return
    if (!open.value.has(first.id)) toggleOpen(first.id)
    void address.set({ why: first.id })
  },
  { immediate: true },
)
</script>

<template>
  <main id="main" class="targets" :class="{ aside: why || ladder }">
    <NoticeLine v-if="error" :fault="error" class="pad-2 edge" />
    <p v-else-if="isPending" class="soft pad-2 edge">Loading targets…</p>
    <template v-else-if="plan">
      <RecapList
        v-if="plan.recap.length && !page && !why && !ladder"
        :plan="plan"
        :first="first"
        :names="names"
        :picked="picked"
        @pick="picked = picked === $event ? -1 : $event"
      />
      <TargetsTop
        :plan="plan"
        :client="client"
        :order="order"
        :dropped="dropped"
        :has-dropped="hasDropped"
        :hours="hours"
        @order="order = $event"
        @dropped="dropped = $event"
        @add="adding = true"
        @ladder="showLadder"
      />
      <WaitingLine v-if="plan.waiting.families && !page" :waiting="plan.waiting" :client="client" />
      <EditFault class="pad-2 edge" :fault="setHours.error.value" :again="hoursEdit.again.value" />
      <EditFault class="pad-2 edge" :fault="failure()" :again="again" />
      <OwnTarget
        v-if="adding"
        :pages="plan.pages"
        :page="page"
        @add="async (d) => (await addOwn(d)) && (adding = false)"
        @close="adding = false"
      />
      <div v-if="!list.length" class="empty t-lead pad-2 edge">
        <template v-if="plan.targets.length && page">Nothing is missing on this page.</template>
        <template v-else-if="ground.phrases.length">
          Nothing is missing. Measure the pages again after they change.
        </template>
        <template v-else>
          What each page must have will be listed here, most gain per hour first.
          <router-link :to="{ name: 'ground', params: { client } }">Add phrases</router-link> to get started.
        </template>
      </div>
      <div
        v-else-if="!why && !ladder"
        class="captions soft grid gap-3 pad-1 edge t-small banded line-below"
        :class="{ paged: !page }"
        aria-hidden="true"
      >
        <span></span><span v-if="!page">page</span
        ><span>{{ order === 'work' ? 'most gain per hour first, words not left behind' : 'what to do' }}</span
        ><span>where, and words</span
        ><span class="num">{{ plan.unit === 'share' ? 'gain' : 'visits, est.' }}</span
        ><span class="num">time</span><span class="num">keep · drop</span>
      </div>
      <div
        ref="grid"
        role="treegrid"
        aria-label="Targets"
        @keydown="rows.onKeydown"
        @focusin="rows.onFocusin"
        @focusout="rows.onFocusout"
      >
        <template v-for="g in groups" :key="g.key">
          <div v-if="g.title" role="row">
            <h2 class="group t-lead flush ink-below" role="rowheader">{{ g.title }}</h2>
          </div>
          <template v-for="(part, half) in [g.above, g.below]" :key="half">
            <CutLine
              v-if="half === 1 && (part.targets.length || order === 'work')"
              :hours="plan.hours"
              :above="g.above.targets.length > 0"
              :below="part.targets.length > 0"
              :needs="order === 'work' ? plan.needs : 0"
            />
            <div v-for="t in part.targets" :key="t.id" class="one" role="rowgroup">
              <div v-if="g.sums.get(t.id)" role="row">
                <h3 class="sum t-lead flush papered line-below" role="rowheader">{{ g.sums.get(t.id) }}</h3>
              </div>
              <TargetRow
                :target="t"
                :page-name="names.get(t.page) ?? 'removed page'"
                :unit="plan.unit"
                :unit-note="plan.unit_note"
                :number="numbers.get(t.id) ?? ''"
                :at="rows.at.value === t.id"
                :tabbed="tabbed === t.id"
                :open="open.has(t.id)"
                :paged="!page"
                :asked="isAsked({ target: t })"
                :narrow="!!why || ladder"
                @keep="toggle({ target: t }, 'kept')"
                @drop="toggle({ target: t }, 'dropped')"
                @remove="removeOwn(plan, { target: t })"
                @toggle="toggleOpen(t.id)"
                @why="explain({ target: t })"
              />
              <div
                v-if="open.has(t.id)"
                class="parts papered line-below"
                :class="{ paged: !page }"
                role="presentation"
              >
                <PartRow
                  v-for="p in t.parts"
                  :key="p.key"
                  :part="p"
                  :unit="plan.unit"
                  :at="rows.at.value === keyOf({ target: t, part: p })"
                  :tabbed="tabbed === keyOf({ target: t, part: p })"
                  :row="keyOf({ target: t, part: p })"
                  :editing="editing === keyOf({ target: t, part: p })"
                  :asked="isAsked({ target: t, part: p })"
                  @keep="toggle({ target: t, part: p }, 'kept')"
                  @drop="toggle({ target: t, part: p }, 'dropped')"
                  @edit="
                    editing = editing === keyOf({ target: t, part: p }) ? '' : keyOf({ target: t, part: p })
                  "
                  @say="(choice, from) => change({ target: t, part: p }, choice, from)"
                  @why="explain({ target: t, part: p })"
                />
              </div>
            </div>
            <FoldRow
              v-for="f in part.folded"
              :key="f.page"
              :fold="f"
              :unit="plan.unit"
              :open="opened.has(f.page)"
              @toggle="toggleFold(f.page)"
            />
          </template>
        </template>
      </div>
      <DoneList :plan="plan" :page="page" :names="names" />
      <LadderMargin
        v-if="ladder"
        :client="client"
        :page="page"
        :pages="names"
        @close="closeMargin"
        @show="rows.focus"
      />
      <WhyMargin
        v-if="why"
        :client="client"
        :target="why.target"
        :part="why.part"
        :title="why.title"
        @close="closeMargin"
      />
    </template>
  </main>
</template>

<style scoped>
.aside {
  padding-right: var(--margin);
}
.captions {
  grid-template-columns: var(--columns-plan);
}
.captions.paged {
  grid-template-columns: var(--columns-plan-paged);
}
.group {
  padding: var(--s3) var(--edge) var(--s1);
}
.sum {
  padding: var(--s2) var(--edge) var(--s1);
}
.one:nth-of-type(even) {
  background: var(--band);
}
.parts {
  container-type: inline-size; /* beside an open margin its rows are narrow on a wide screen too */
  margin-left: calc(var(--edge) + var(--s10));
  border-left: var(--thick-line);
}
.parts.paged {
  margin-left: calc(var(--edge) + var(--w22));
}
@media (max-width: 760px) {
  .aside {
    padding-right: 0;
  }
  .captions {
    display: none;
  }
  .parts,
  .parts.paged {
    margin-left: var(--s3);
  }
}
</style>
