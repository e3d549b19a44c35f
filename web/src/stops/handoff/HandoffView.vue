<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { documentFileOptions, walkOptions } from '@/api/calls'
import type { Ground, Problem } from '@/api/types'
import ActionButton from '@/ui/ActionButton.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useAddress } from '@/parts/address'
import { useCommands } from '@/parts/keys'
import { saveFile } from '@/parts/saveFile'
import { pageKey } from '@/parts/stops'
import DocumentPaper from './DocumentPaper.vue'
import {
  documents,
  formatNames,
  handed,
  handedOver,
  isPaper,
  type DocumentName,
  type FormatName,
} from './documents'
import LetterheadDialog from './LetterheadDialog.vue'
import MessagePaper from './MessagePaper.vue'
import WorkbookPaper from './WorkbookPaper.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const address = useAddress()
const shown = computed(() => handedOver(address.text('document')))
const page = computed(() => address.text('page') || (props.page ? pageKey(props.page) : ''))
const bare = ref(false)
const isoDay = (ms: number) => new Date(ms).toISOString().slice(0, 10)
/* From which day the account is given: 30 days ago by itself. */
const since = ref(isoDay(Date.now() - 30 * 86_400_000))
const query = computed(() => ({
  page: shown.value.ofPage ? page.value : undefined,
  since: (shown.value.name === 'account' && since.value) || undefined,
  bare: (bare.value && shown.value.name.startsWith('brief')) || undefined,
}))
const { data, error, isPending } = useQuery(() => ({
  ...documentFileOptions({
    path: { client: props.client, document: isPaper(shown.value.name) ? shown.value.name : 'plan' },
    query: query.value,
  }),
  enabled: isPaper(shown.value.name),
}))
const html = computed(() => (data.value === undefined ? '' : String(data.value)))
const { data: walk, error: failed } = useQuery(() => ({
  ...walkOptions({ path: { client: props.client } }),
  enabled: shown.value.name === 'message',
}))

/** The address of the document as a file. */
function file(format: FormatName) {
  if (shown.value.name === 'workbook') return `/api/clients/${props.client}/workbook`
  const asked = new URLSearchParams({ format, save: 'true' })
  for (const [name, value] of Object.entries(query.value)) if (value) asked.set(name, String(value))
  return `/api/clients/${props.client}/documents/${shown.value.name}?${asked}`
}
const show = (name: DocumentName) => address.set({ document: name }, true)
const print = () => window.print()
const heading = ref(false)
/* A PDF takes a moment: a browser prints it. What fails is said beside the buttons. */
const saved = useMutation<void, Problem, FormatName>({ mutationFn: (format) => saveFile(file(format)) })
watch(shown, () => saved.reset())

const router = useRouter()
const walkThrough = () => router.push({ name: 'walk', params: { client: props.client } })
useCommands([
  { key: '', says: 'Walk-through for the owner', run: walkThrough },
  ...documents.map((d) => ({ key: '', says: `${d.says}: ${d.note}`, run: () => void show(d.name) })),
  {
    key: '',
    says: 'Save the document',
    run: () => shown.value.formats[0] && saved.mutate(shown.value.formats[0]),
  },
  { key: '', says: 'Print the document', run: print },
  { key: '', says: 'Your name and logo on documents', run: () => (heading.value = true) },
])
</script>

<template>
  <main id="main" class="desk grid">
    <nav class="documents no-print pad-4 edge" aria-label="Documents">
      <h1 class="t-head">Documents</h1>
      <RouterLink class="as-block bold mt-3 pl-2" :to="{ name: 'walk', params: { client } }"
        >Walk-through</RouterLink
      >
      <span class="as-block soft pl-2">what you tell the owner, full screen</span>
      <template v-for="part in handed" :key="part.to">
        <h2 class="mt-3 small soft">{{ part.to }}</h2>
        <ul class="flush pad-0 sides-0">
          <li v-for="d in part.list" :key="d.name" class="pl-2 mt-2" :class="{ here: d.name === shown.name }">
            <button
              class="quiet as-block bold to-left"
              type="button"
              :aria-current="d.name === shown.name ? 'page' : undefined"
              @click="show(d.name)"
            >
              {{ d.says }}
            </button>
            <span class="soft">{{ d.note }}</span>
          </li>
        </ul>
      </template>
    </nav>
    <div class="board banded line-left">
      <template v-if="shown.name === 'message'">
        <NoticeLine v-if="failed" :fault="failed" />
        <MessagePaper v-if="walk" :message="walk.message" />
      </template>
      <WorkbookPaper v-else-if="shown.name === 'workbook'" />
      <NoticeLine v-else-if="error" :fault="error" />
      <p v-else-if="isPending" class="soft">Writing the document…</p>
      <DocumentPaper v-else :html="html" :label="shown.says" />
    </div>
    <aside class="stacked gap-2 no-print pad-4 edge" aria-label="Choices">
      <ActionButton
        v-for="(format, at) in shown.formats"
        :key="format"
        :main="at === 0"
        :disabled="saved.isPending.value"
        :data-save="format"
        @click="saved.mutate(format)"
        >Save as {{ formatNames[format] }}</ActionButton
      >
      <NoticeLine v-if="saved.error.value" :fault="saved.error.value" />
      <ActionButton v-if="shown.name !== 'workbook'" @click="print">Print</ActionButton>
      <label v-if="shown.name.startsWith('brief')"
        ><input v-model="bare" type="checkbox" name="bare" /> only what to write</label
      >
      <label v-if="shown.name === 'account'" class="soft"
        >Since <input v-model="since" type="date" class="field" name="since" :max="isoDay(Date.now())"
      /></label>
      <p v-if="shown.name === 'message'" class="soft">
        At most 150 words: what there is to do, with a figure of proof each.
      </p>
      <p v-if="isPaper(shown.name)" class="soft">Dropped targets are left out.</p>
      <ActionButton v-if="isPaper(shown.name)" quiet class="to-left" @click="heading = true"
        >Your name and logo</ActionButton
      >
    </aside>
    <LetterheadDialog v-model="heading" />
  </main>
</template>

<style scoped>
.desk {
  grid-template-columns: var(--w26) minmax(0, 1fr) var(--w28);
  min-height: calc(100vh - var(--header) - var(--strip));
}
.here {
  border-left: var(--s1) solid var(--ink);
}
.board {
  border-right: var(--line);
  padding: var(--s6) var(--s8) var(--s12);
}
@media (max-width: 760px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  .board {
    padding: var(--s3) 0 var(--s8);
  }
}
@media print {
  .desk {
    display: block;
  }
  .board {
    background: none;
    border: 0;
    padding: 0;
  }
}
</style>
