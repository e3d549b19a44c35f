<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { changeOutlineMutation, outlineOptions } from '@/api/calls'
import type { Ground, OutlineEdits, OutlineSection } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { count, plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
import { pageKey } from '@/parts/stops'
import { useUndo } from '@/parts/undo'
import PlanLeaves from '../targets/PlanLeaves.vue'
import { moved, toWrite, withAdded, withSection, type SectionEdit } from './edits'
import SectionRow from './SectionRow.vue'

/** The sections that a page should have: what is there in ink, what is to be written in pencil. */
const props = defineProps<{ client: number; ground: Ground }>()
const route = useRoute()
const page = computed(() => String(route.query.page ?? '') || pageKey(props.ground.pages[0]?.id ?? 0))
const {
  data: outline,
  error,
  isPending,
} = useQuery(() => ({
  ...outlineOptions({ path: { client: props.client }, query: { page: page.value } }),
  enabled: page.value !== '',
}))
const change = useMutation(changeOutlineMutation())
const undo = useUndo()

const dragged = ref('')
const over = ref(-1)
const adding = ref('')
const frames = ref(false)
const rows = ref<HTMLElement>()
const edited = computed(
  () =>
    outline.value && (outline.value.edits.order.length || Object.keys(outline.value.edits.sections).length),
)
/* The order that a row was just moved to: it stands so while it is saved, and does not snap back before. */
const asked = ref<string[] | null>(null)
const sections = computed(() => {
  const list = outline.value?.sections ?? []
  const order = asked.value
  return order ? [...list].sort((a, b) => order.indexOf(a.key) - order.indexOf(b.key)) : list
})
const words = computed(() => toWrite(outline.value?.sections ?? []))

const { make, again } = useEdit()
/** What the edits were when the typing at hand began; undefined for what they are now. */
let begun: OutlineEdits | undefined
watch(page, () => (begun = undefined))

/** Changes the edits; where something of them was changed elsewhere meanwhile, over what is there then. */
async function put(to: (edits: OutlineEdits) => OutlineEdits, says: string) {
  const at = page.value
  let was = begun ?? outline.value!.edits
  begun = undefined
  const now = await make((told) => {
    if (told) was = outline.value!.edits
    return change.mutateAsync({
      path: { client: props.client },
      query: { page: at },
      body: { ...to(was), was },
    })
  })
  if (now)
    undo.offer(says, () =>
      change.mutateAsync({
        path: { client: props.client },
        query: { page: at },
        body: { ...was, was: now.edits },
      }),
    )
  return now !== null
}

async function move(s: OutlineSection, to: number) {
  begun = undefined
  if (moved(outline.value!, s.key, to) === outline.value!.edits) return
  const order = () => moved(outline.value!, s.key, to).order
  asked.value = order()
  const done = await put((edits) => ({ ...edits, order: order() }), `Moved: ${s.heading}`)
  asked.value = null
  if (!done) return
  await nextTick()
  rows.value?.querySelector<HTMLElement>(`[data-section="${CSS.escape(s.key)}"] .grip`)?.focus()
}

function drop(to: number) {
  const s = outline.value!.sections.find((x) => x.key === dragged.value)
  dragged.value = ''
  over.value = -1
  if (s) void move(s, to)
}

async function add() {
  const heading = adding.value.trim()
  begun = undefined
  if (heading && (await put(() => withAdded(outline.value!, heading), `Added: ${heading}`))) adding.value = ''
}

const section = (s: OutlineSection, edit: SectionEdit, says: string) =>
  put((edits) => withSection(edits, s.key, edit), says)
const setAlone = (alone: boolean) =>
  put((edits) => ({ ...edits, alone }), alone ? 'Other sections stay as they are' : 'Other sections make up')
const showFrames = () => (frames.value = !frames.value)
const restore = () => put(() => ({ order: [], sections: {}, alone: false }), 'Outline by the rules')

useCommands([
  { key: '', says: 'Sentences for a phrase', run: showFrames },
  { key: '', says: 'Outline back to the rules', run: () => edited.value && restore() },
])
</script>

<template>
  <main id="main" class="outline">
    <div class="top">
      <PlanLeaves :client="client" />
      <template v-if="outline && outline.sections.length">
        <span
          ><b class="figure">{{ count(words) }}</b>
          <span class="soft"
            >words to write, in
            {{ plural(outline.sections.filter((s) => !s.dropped).length, 'section') }}</span
          ></span
        >
        <label
          ><input
            type="checkbox"
            name="makes-up"
            :checked="!outline.alone"
            @change="setAlone(!($event.target as HTMLInputElement).checked)"
          />
          adjust the other sections</label
        >
        <ActionButton v-if="edited" quiet @click="restore">Back to the rules</ActionButton>
        <ActionButton quiet @click="showFrames">
          {{ frames ? 'Hide sentences' : 'Sentences for a phrase' }}
        </ActionButton>
      </template>
    </div>
    <NoticeLine :fault="error" class="pad-2 edge" />
    <EditFault class="pad-2 edge" :fault="change.error.value" :again="again" />
    <p v-if="isPending" class="soft pad-2 edge">Loading the outline…</p>
    <p v-else-if="outline && !outline.sections.length" class="pad-2 edge">
      Pages of this kind have no word target, so there is no outline. Pages for services and towns have one.
    </p>
    <template v-else-if="outline">
      <section v-if="frames" class="frames line-below" data-frames>
        <p class="soft">
          Ways to carry “{{ outline.first }}” word for word. They stand in the
          <router-link :to="{ name: 'yardstick', params: { client } }">yardstick</router-link>.
        </p>
        <ul>
          <li v-for="f in outline.frames" :key="f">
            {{ f.split('{phrase}')[0] }}<span class="penciled">{{ outline.first }}</span
            >{{ f.split('{phrase}')[1] }}
          </li>
        </ul>
      </section>
      <div class="captions soft grid gap-3 pad-1 edge t-small banded line-below" aria-hidden="true">
        <span></span><span>heading</span><span>words</span><span class="num">there</span
        ><span class="num">to write</span><span>phrases that it carries</span><span></span>
      </div>
      <div ref="rows">
        <SectionRow
          v-for="(s, i) in sections"
          :key="s.key"
          :section="s"
          :questions="s.kind === 'questions' ? outline.questions : []"
          :first="s.kind === 'lead' ? outline.first : ''"
          :over="over === i"
          draggable="true"
          :set-words="
            (n) =>
              section(
                s,
                { words: n ?? undefined },
                n === null ? `${s.heading}: words by the rules` : `${s.heading}: ${count(n)} words`,
              )
          "
          @dragstart="dragged = s.key"
          @dragover.prevent="over = i"
          @dragend="((dragged = ''), (over = -1))"
          @drop.prevent="drop(i)"
          @move="move(s, i + $event)"
          @begin="begun = outline.edits"
          @rename="section(s, { heading: $event }, `Renamed: ${$event || s.heading}`)"
          @drop-section="
            section(
              s,
              s.added ? { added: false, heading: '', words: undefined } : { dropped: !s.dropped },
              s.dropped ? `Back: ${s.heading}` : `Dropped: ${s.heading}`,
            )
          "
        />
      </div>
      <form class="add flow gap-3 pad-2 edge" @submit.prevent="add">
        <input
          v-model="adding"
          class="field"
          name="section"
          maxlength="300"
          placeholder="heading of a section of your own"
          aria-label="New section"
        />
        <ActionButton quiet submit :disabled="!adding.trim()">Add section</ActionButton>
      </form>
    </template>
  </main>
</template>

<style scoped src="../targets/top.css"></style>
<style scoped>
.captions {
  grid-template-columns: var(--s5) minmax(0, 1.1fr) var(--w16) var(--w8) var(--w12) minmax(0, 1.15fr) var(
      --w9
    );
}
.frames {
  padding: var(--s1) var(--edge) var(--s2);
}
.frames p {
  margin: var(--s1) 0;
}
.frames ul {
  columns: 2;
  column-gap: var(--s10);
  margin: 0;
  padding-left: var(--s4);
}
.add {
  max-width: var(--w70);
}
.add .link {
  white-space: nowrap;
}
@media (max-width: 760px) {
  .captions {
    display: none;
  }
  .frames ul {
    columns: 1;
  }
}
</style>
