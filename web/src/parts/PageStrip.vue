<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { filesMutation, removeReadingMutation } from '@/api/calls'
import type { PlanPage } from '@/api/types'
import { computed, onMounted, ref, watch } from 'vue'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import { dropped, type DroppedFile } from './dropped'
import { useFileDrop } from './fileDrop'
import { plural } from './format'
import { namesApart } from './pages'
import { pageLocation, type StopName } from './stops'
import TallyStrokes from './TallyStrokes.vue'
import { useUndo } from './undo'

/**
 * One index tab for each page of the client; those not there yet in pencil. A
 * saved page or a web archive that is dropped on a tab becomes its reading.
 */
const props = defineProps<{
  client: number
  pages: PlanPage[]
  page: string /* the key of the one at hand, empty for all */
  stop: StopName
  /** What is said of all pages together. */
  all?: string
  /** A leaf of the targets that is about one page. */
  leaf?: string
}>()
const first = computed(() => props.pages[0]!.page.id)
const at = computed(() => props.pages.find((p) => p.key === props.page)?.page.id || first.value)
const everything = computed<RouteLocationRaw>(() =>
  props.stop === 'targets'
    ? pageLocation('targets', props.client, '')
    : { name: 'overview', params: { client: props.client } },
)
const added = useMutation(filesMutation())
const removeReading = useMutation(removeReadingMutation())
const undo = useUndo()
// The page whose tab files are held over.
const { over, on, within } = useFileDrop<number>(async (data, page) => await take(page, await dropped(data)))
const picker = ref<HTMLInputElement>()
const tabs = ref<HTMLElement>()

const show = () =>
  tabs.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
watch(() => props.page, show, { flush: 'post' })
onMounted(show)

const names = computed(() => namesApart(props.pages))
const labelOf = (id: number) =>
  names.value.get((props.pages.find((p) => p.page.id === id) ?? props.pages[0]!).key) ?? ''

async function pick() {
  const files = [...(picker.value?.files ?? [])]
  if (picker.value) picker.value.value = '' // so that the same file can be chosen again
  await take(
    at.value,
    files.map((file) => ({ file, path: file.webkitRelativePath || file.name })),
  )
}

async function take(page: number, files: DroppedFile[]) {
  if (!files.length) return
  const filed = await added
    .mutateAsync({
      path: { client: props.client, page },
      body: { files: files.map((f) => f.file), paths: JSON.stringify(files.map((f) => f.path)) },
    })
    .catch(() => [])
  const readings = filed.map((f) => f.reading_id).filter((id) => id > 0)
  if (readings.length)
    undo.offer(`${plural(readings.length, 'page')} added`, async () => {
      for (const reading of readings)
        await removeReading.mutateAsync({ path: { client: props.client, reading } })
      added.reset()
    })
}

const told = computed(() => {
  const list = added.data.value ?? []
  const became = list.filter((f) => !f.failure)
  return {
    became: became.map((f) => `${f.file} is now ${f.page_id ? labelOf(f.page_id) : f.name}`),
    problems: list.flatMap((f) => (f.failure ? [`${f.file}: ${f.failure.says}`] : [])),
  }
})
</script>

<template>
  <nav
    class="strip no-print flow at-end gap-1 pad-0 edge banded ink-below"
    aria-label="Pages"
    :class="{ dropzone: over }"
    v-on="on(at)"
  >
    <div ref="tabs" class="tabs flow at-end gap-1 slim scroll-x">
      <RouterLink
        v-if="stop !== 'hand-off'"
        :to="everything"
        :class="{ here: !page }"
        :aria-current="page ? undefined : 'page'"
        >All pages<template v-if="all"> · {{ all }}</template></RouterLink
      >
      <RouterLink
        v-for="p in pages"
        :key="p.key"
        :to="
          leaf
            ? { name: leaf, params: { client }, query: { page: p.key } }
            : pageLocation(stop, client, p.key)
        "
        :class="{ here: p.key === page, new: p.page.words === null, over: over === p.page.id && p.page.id }"
        :aria-current="p.key === page ? 'page' : undefined"
        v-on="within(p.page.id || first)"
      >
        <span class="name" :title="names.get(p.key)">{{ names.get(p.key) }}</span>
        <TallyStrokes :words="p.page.words ?? 0" :write="p.page.to_write ?? 0" :height="11" :most="5" />
      </RouterLink>
    </div>
    <span v-if="over" class="hint pencil stiff pl-4 push"
      >Drop to add it as the reading of {{ labelOf(over) }}</span
    >
    <span v-else-if="added.isPending.value" class="hint soft stiff pl-4 push" role="status"
      >Reading the files…</span
    >
    <ActionButton v-else quiet class="hint stiff pl-4 push" @click="picker?.click()">
      Add a saved page
    </ActionButton>
    <input
      ref="picker"
      class="unseen"
      type="file"
      name="saved"
      multiple
      tabindex="-1"
      aria-label="Saved pages and web archives"
      accept=".html,.htm,.xhtml,.mhtml,.mht,.warc,.gz,.txt,.css"
      @change="pick"
    />
  </nav>
  <p
    v-if="added.error.value"
    class="mistake told flow wrap gap-5 lines-1 flush pad-2 edge line-below"
    role="alert"
  >
    {{ added.error.value.detail }}
  </p>
  <div
    v-else-if="added.data.value"
    class="told flow wrap gap-5 lines-1 flush pad-2 edge line-below"
    role="status"
  >
    <span v-for="t in told.became" :key="t">{{ t }}</span>
    <span v-for="t in told.problems" :key="t" class="mistake">{{ t }}</span>
    <ActionButton quiet @click="added.reset()">Dismiss</ActionButton>
  </div>
</template>

<style scoped>
.strip {
  height: var(--strip);
}
/* More tabs than there is room for are scrolled; the one at hand is in sight. */
.tabs {
  height: 100%;
  scrollbar-width: thin;
  scrollbar-color: var(--ink-soft) transparent;
  margin-bottom: calc(-1 * var(--s0));
}
.name {
  max-width: var(--w24);
  overflow: hidden;
  text-overflow: ellipsis;
}
a {
  display: flex;
  flex: none;
  white-space: nowrap;
  gap: var(--s2);
  align-items: center;
  height: calc(var(--strip) - var(--s2));
  padding: 0 var(--s3);
  text-decoration: none;
  background: var(--paper);
  border: var(--line);
  border-bottom: 0;
}
.new {
  border-style: dashed;
  border-color: var(--pencil);
  color: var(--pencil);
}
.over {
  border: var(--thick-pencil-line);
  border-bottom: 0;
}
.here {
  height: calc(var(--strip) - var(--s1));
  border: var(--ink-line);
  border-bottom: 0;
  font-weight: 600;
  padding-bottom: var(--s0);
}
.hint {
  align-self: center;
}
</style>
