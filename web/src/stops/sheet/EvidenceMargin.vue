<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { evidenceOptions } from '@/api/calls'
import type { Sheet } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useClipboard } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { count, plural } from '@/parts/format'
import SideMargin from '@/ui/SideMargin.vue'
import { useCommands } from '@/parts/keys'
import BesideList from './BesideList.vue'
import EvidenceText from './EvidenceText.vue'
import FirstPhrase from './FirstPhrase.vue'
import HeadingList from './HeadingList.vue'
import ImageList from './ImageList.vue'
import MadeOfList from './MadeOfList.vue'
import PageFacts from './PageFacts.vue'
import type { Margin } from './margin'
import WordRule from './WordRule.vue'

/** The evidence margin: what a figure counted, with every occurrence marked. */
const props = defineProps<{ sheet: Sheet; client: number; page: number; margin: Margin }>()

const what = computed(() => props.margin.what.value)
const column = computed(() => props.sheet.columns[props.margin.column.value] ?? props.sheet.columns[0]!)
const textual = computed(() => ['seen', 'copy', 'hidden', 'phrase'].includes(what.value))
const phrase = computed(() => props.margin.phrase.value)

const { data: evidence, error } = useQuery(() => ({
  ...evidenceOptions({
    path: { client: props.client, page: props.page },
    query: { entry: column.value.entry_id, phrase: phrase.value },
  }),
  enabled: textual.value && column.value.reading_id > 0,
}))

const typed = ref(phrase.value)
watch(phrase, (p) => (typed.value = p))

const title = computed(
  () =>
    ({
      seen: 'Words seen',
      copy: 'Copy words',
      hidden: 'Hidden words',
      phrase: 'Where it is',
      headings: 'Headings',
      images: 'Image file names',
      page: 'Page facts',
      made: 'What the copy is made of',
      rule: 'How many words, and why',
      beside: 'Comparable page',
      '': '',
    })[what.value],
)

const figure = computed(() => {
  const c = column.value
  const frame = c.words.seen - c.words.copy
  switch (what.value) {
    case 'seen':
      return `${count(c.words.seen)}, ${count(frame)} of them in menus and footer`
    case 'copy':
      return `${count(c.words.copy)}; ${count(frame)} more in menus and footer`
    case 'hidden':
      return `${count(c.words.hidden)} in the code, but not visible`
    case 'headings':
      return `${plural(c.heading_count, 'heading')}, with the copy words under each`
    case 'images':
      return `${count(c.carrying)} of ${plural(c.image_count, 'name')} with a phrase`
    default:
      return ''
  }
})

const sums = computed(() => {
  const e = evidence.value
  if (!e || !e.phrase) return null
  return { exact: e.placement.exact.total, loose: e.placement.loose.total, found: e.find_in_page }
})

const columnOf = (entry: number) => props.sheet.columns.findIndex((c) => c.entry_id === entry)

const side = ref<InstanceType<typeof SideMargin>>()
const body = computed(() => side.value?.body)
let at = -1

/** Goes to the next or previous mark. */
function step(by: number) {
  const marks = [...(body.value?.querySelectorAll<HTMLElement>('mark') ?? [])]
  if (!marks.length) return
  marks[at]?.classList.remove('now')
  at = (at + by + marks.length) % marks.length
  const mark = marks[at]!
  mark.classList.add('now')
  mark.scrollIntoView({ block: 'center' })
}
watch(
  [evidence, what, body],
  async () => {
    at = -1
    await nextTick()
    if (what.value === 'phrase') step(1)
  },
  { immediate: true },
)

useCommands([
  { key: 'n', says: 'Next match in the evidence', run: () => step(1) },
  { key: 'p', says: 'Previous match in the evidence', run: () => step(-1) },
])
const shows = () => `${what.value} ${props.margin.column.value} ${phrase.value}`

const { copy, copied } = useClipboard({ legacy: true })
function copyText() {
  const blocks = evidence.value?.blocks.filter((b) => !b.hidden) ?? []
  return copy(blocks.map((b) => b.pieces.map((p) => p.text).join('')).join('\n'))
}
</script>

<template>
  <SideMargin
    ref="side"
    :title="what === 'rule' ? title : `${title} · ${column.name}`"
    label="Evidence"
    :shows="shows"
    :data-what="what"
    :data-column="margin.column.value"
    @close="margin.close()"
  >
    <template #head>
      <p v-if="figure" class="soft">{{ figure }}</p>
      <form v-if="textual" class="find flow on-mid gap-2 mt-2" @submit.prevent="margin.mark(typed)">
        <label class="unseen" for="marked">Phrase to find</label>
        <input
          id="marked"
          v-model="typed"
          class="field grow slim"
          name="marked"
          placeholder="type a phrase to find it"
          @change="margin.mark(typed)"
        />
        <span v-if="sums" class="sums nowrap">
          <b>{{ count(sums.exact) }}</b> exact · <b>{{ count(sums.loose) }}</b> loose
        </span>
        <button class="kbd quiet pad-0 sides-2" type="button" aria-label="Next match" @click="step(1)">
          n
        </button>
        <button class="kbd quiet pad-0 sides-2" type="button" aria-label="Previous match" @click="step(-1)">
          p
        </button>
      </form>
      <p
        v-if="evidence?.phrase && evidence.across.length > 1"
        class="across flow wrap gap-3 lines-0 t-small"
        data-across
      >
        <button
          v-for="a in evidence.across"
          :key="a.entry_id"
          class="quiet pad-1"
          :class="{ here: a.entry_id === column.entry_id }"
          type="button"
          :title="`${a.name}: ${a.exact} exact, ${a.loose} loose; find in page: ${a.find_in_page}`"
          @click="margin.open('phrase', columnOf(a.entry_id), phrase)"
        >
          <span class="soft">{{ a.name }}</span> <b>{{ a.exact }}</b><template v-if="a.loose">
            + {{ a.loose }}</template
          >
        </button>
      </p>
      <p v-if="sums && sums.found !== sums.exact" class="soft note t-small">
        A browser’s find in page says {{ count(sums.found) }}: it looks for these exact characters, also
        inside words and across sentences.
      </p>
      <FirstPhrase
        v-if="what === 'phrase' && column.role === 'client'"
        :sheet="sheet"
        :client="client"
        :page="page"
        :phrase="phrase"
      />
    </template>
    <NoticeLine :fault="error" />
    <EvidenceText v-if="textual && evidence" :evidence="evidence" :what="what" />
    <HeadingList v-else-if="what === 'headings'" :column="column" />
    <ImageList v-else-if="what === 'images'" :column="column" />
    <PageFacts v-else-if="what === 'page'" :column="column" :client="client" :page="page" />
    <MadeOfList v-else-if="what === 'made'" :column="column" :client="client" :page="page" :margin="margin" />
    <BesideList v-else-if="what === 'beside'" :sheet="sheet" :column="column" :client="client" />
    <WordRule v-else-if="what === 'rule'" :sheet="sheet" />
    <template v-if="what !== 'rule' && column.reading_id" #foot>
      <template v-if="textual">
        <ActionButton quiet @click="copyText">{{ copied ? 'Copied' : 'Copy as text' }}</ActionButton>
        ·
      </template>
      <template v-if="column.url">
        <a :href="column.url" target="_blank" rel="noreferrer">Open live page</a> ·
      </template>
      <a :href="`/api/clients/${client}/readings/${column.reading_id}/page`" target="_blank"
        >Open saved page</a
      >
    </template>
  </SideMargin>
</template>

<style scoped>
.across .here b {
  border-bottom: var(--thick-line);
}
</style>
