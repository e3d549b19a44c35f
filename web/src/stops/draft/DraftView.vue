<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { keepDraftMutation, proofMutation } from '@/api/calls'
import type { ProofInputBody, Ground, Proof } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useDebounceFn, useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useFileDrop } from '@/parts/fileDrop'
import { dropped } from '@/parts/dropped'
import { count, plural } from '@/parts/format'
import { useCommands } from '@/parts/keys'
import { pageKey } from '@/parts/stops'
import PlanLeaves from '../targets/PlanLeaves.vue'
import KeptDrafts from './KeptDrafts.vue'
import ProofReport from './ProofReport.vue'
import WantedList from './WantedList.vue'

/** A draft measured against its page's targets as it is typed, pasted or dropped. */
const props = defineProps<{ client: number; ground: Ground }>()
const route = useRoute()
const page = computed(() => String(route.query.page ?? '') || pageKey(props.ground.pages[0]?.id ?? 0))
const proof = useMutation(proofMutation())
const keep = useMutation(keepDraftMutation())

/* What is typed stays in this browser, for each page by itself, also when the tab is closed. */
const drafts = useLocalStorage<Record<string, string>>(`drafts of ${props.client}`, {})
const text = ref(drafts.value[page.value] ?? '')
const report = ref<Proof | null>(null)
const file = ref<ProofInputBody | null>(null) // what was measured, if it was no text
const picker = ref<HTMLInputElement>()

/** A draft, text or file, as it is asked about for the page at hand. */
const asked = (body: ProofInputBody) => ({
  path: { client: props.client },
  query: { page: page.value },
  body,
})

const measure = useDebounceFn(async () => {
  const typed = text.value
  if (!typed.trim()) {
    report.value = null
    proof.reset()
    return
  }
  const seen = await proof.mutateAsync(asked({ text: typed })).catch(() => null)
  if (seen && typed === text.value && seen.page === page.value) report.value = seen
}, 250)
watch(text, (typed) => {
  drafts.value = { ...drafts.value, [page.value]: typed }
  file.value = null
  void measure()
})
watch(page, (at) => {
  report.value = null
  file.value = null
  text.value = drafts.value[at] ?? ''
  void measure()
})
if (text.value) void measure()

/** Measures the file of a draft; text of it is put into the field, to go on with. */
async function take(list: { file: File }[]) {
  const first = list[0]?.file
  if (!first) return
  const bytes = new Uint8Array(await first.arrayBuffer())
  if (/\.(txt|md|markdown|html?)$/i.test(first.name) && bytes.length < 500_000) {
    text.value = new TextDecoder().decode(bytes)
    return
  }
  let binary = ''
  for (let i = 0; i < bytes.length; i += 0x8000)
    binary += String.fromCharCode(...bytes.subarray(i, i + 0x8000))
  const draft = { name: first.name, file: btoa(binary) }
  const seen = await proof.mutateAsync(asked(draft)).catch(() => null)
  if (seen) {
    report.value = seen
    file.value = draft
  }
}

/** Keeps what was measured as a version of the page. */
const keepIt = () => keep.mutate(asked(file.value ?? { text: text.value }))
const { over, on } = useFileDrop<string>(async (data) => await take(await dropped(data)))
useCommands([
  { key: '', says: 'Open the file of a draft', run: () => picker.value?.click() },
  { key: '', says: 'Save the draft as a version', run: () => report.value && keepIt() },
])
async function pick() {
  const files = [...(picker.value?.files ?? [])]
  if (picker.value) picker.value.value = ''
  await take(files.map((f) => ({ file: f })))
}
</script>

<template>
  <main id="main" class="draft">
    <div class="top">
      <PlanLeaves :client="client" />
      <span v-if="report" data-left>
        <b class="figure">{{ count(report.copy) }}</b>
        <span class="soft"> of {{ plural(report.wanted, 'word') }}, </span>
        <span :class="{ pencil: report.left > 0 }">{{
          report.left ? `${count(report.left)} to write` : 'enough'
        }}</span>
      </span>
      <span v-if="file" class="soft">{{ file.name }}</span>
      <span class="space"></span>
      <ActionButton
        v-if="report"
        data-keep
        :disabled="keep.isPending.value"
        title="Save it as a version of the page: it becomes a column of the page's sheet"
        @click="keepIt"
      >
        Save draft
      </ActionButton>
      <ActionButton quiet @click="picker?.click()">Open a file</ActionButton>
      <input
        ref="picker"
        class="unseen"
        type="file"
        name="draft-file"
        tabindex="-1"
        aria-label="File of a draft"
        accept=".txt,.md,.markdown,.html,.htm,.docx"
        @change="pick"
      />
    </div>
    <NoticeLine :fault="proof.error.value" class="pad-2 edge" />
    <NoticeLine :fault="keep.error.value" class="pad-2 edge" />
    <div class="two grid">
      <textarea
        v-model="text"
        class="field paper pad-4 edge"
        :class="{ dropzone: over }"
        name="draft"
        aria-label="Draft"
        spellcheck="true"
        placeholder="Type or paste the draft here, as text, Markdown or HTML, or drop its file: it is measured as you write."
        v-on="on('draft')"
      ></textarea>
      <div class="report">
        <KeptDrafts :client="client" :page="page" @open="(kept) => (text = kept)" />
        <ProofReport v-if="report" :report="report" />
        <WantedList v-else :client="client" :page="page" />
      </div>
    </div>
  </main>
</template>

<style scoped src="../targets/top.css"></style>
<style scoped>
.two {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  height: calc(100vh - var(--header) - var(--strip) - var(--w7));
}
.paper {
  resize: none;
  height: 100%;
  border: 0;
  border-right: var(--ink-line);
  font: inherit;
  line-height: var(--ruled);
  background-attachment: local;
}
.report {
  overflow: auto;
  padding: var(--s1) var(--edge) var(--s8);
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: 1fr;
    height: auto;
  }
  .paper {
    min-height: 40vh;
    border-right: 0;
    border-bottom: var(--ink-line);
  }
}
</style>
