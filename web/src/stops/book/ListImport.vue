<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { importListMutation, previewListMutation, undoImportMutation } from '@/api/calls'
import type { ColumnRole, Layout, SearchArea } from '@/api/types'
import FilePreview from '@/parts/FilePreview.vue'
import DataTable from '@/ui/DataTable.vue'
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { count, plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** A list before it is imported: what its columns hold, and afterwards what became of it. */
const props = defineProps<{ client: number; file: File }>()
/* An undo may end when another list was chosen: it is told which one is done. */
const emit = defineEmits<{ done: [file: File] }>()
const preview = useMutation(previewListMutation())
const importList = useMutation(importListMutation())
const undoImport = useMutation(undoImportMutation())
const undo = useUndo()
const layout = ref<Layout>({ heading: false, roles: [] })
/* The site whose found-for list it is, empty for phrases for the book. */
const site = ref('')

watch(
  () => props.file,
  async (file) => {
    importList.reset()
    const p = await preview.mutateAsync({ path: { client: props.client }, body: { file } }).catch(() => null)
    if (!p || file !== props.file) return // another one was chosen meanwhile
    layout.value = { heading: p.layout.heading, roles: [...p.layout.roles] }
    site.value = p.site
  },
  { immediate: true },
)

const roles: { value: ColumnRole; says: string }[] = [
  { value: '', says: 'skip' },
  { value: 'phrase', says: 'phrase' },
  { value: 'volume', says: 'searches/mo' },
  { value: 'difficulty', says: 'difficulty' },
  { value: 'position', says: 'position' },
  { value: 'address', says: 'URL' },
  { value: 'area', says: 'area of the searches' },
  { value: 'visits', says: 'visits' },
]
const columns = computed(() => layout.value.roles.map((_, i) => ({ key: `column${i}` })))
const sites = computed(() => [
  { value: '', says: 'phrases for the book' },
  ...(preview.data.value?.sites ?? []).map((site) => ({
    value: site,
    says: `phrases that ${site} is found for`,
  })),
])

/* Where the searches were counted, asked once for a list that does not say it itself. */
const area = ref<SearchArea>('')
const asksArea = computed(() => layout.value.roles.includes('volume') && !layout.value.roles.includes('area'))
const areas: { value: SearchArea; says: string }[] = [
  { value: '', says: 'not known' },
  { value: 'town', says: 'the town' },
  { value: 'state', says: 'the state' },
  { value: 'country', says: 'the country' },
]

async function run() {
  const file = props.file
  const report = await importList
    .mutateAsync({
      path: { client: props.client },
      body: {
        file,
        layout: JSON.stringify(layout.value),
        site: site.value,
        area: (asksArea.value && area.value) || undefined,
      },
    })
    .catch(() => null)
  if (!report?.import_id) return
  const says = site.value ? `List of ${site.value} imported` : `${plural(report.added, 'phrase')} added`
  undo.offer(says, async () => {
    await undoImport.mutateAsync({ path: { client: props.client, import: report.import_id } })
    emit('done', file)
  })
}
</script>

<template>
  <FilePreview
    class="list"
    label="Import a list"
    :file="file"
    :reading="preview.isPending.value"
    :unread="preview.error.value"
    :fault="importList.error.value"
    @close="emit('done', file)"
  >
    <template v-if="importList.data.value">
      <p class="flush" role="status" data-report>
        <template v-if="importList.data.value.found">
          {{ site }} is found for {{ plural(importList.data.value.found, 'phrase') }}.
          <RouterLink :to="{ name: 'found', params: { client } }">Compare the sites</RouterLink>.
        </template>
        <b>{{ plural(importList.data.value.added, 'phrase') }}</b> added,
        <b>{{ count(importList.data.value.joined) }}</b> updated,
        <b>{{ count(importList.data.value.refused_total) }}</b> not imported.
        <ActionButton quiet @click="emit('done', file)">Dismiss</ActionButton>
      </p>
      <details v-if="importList.data.value.refused.length" :open="importList.data.value.refused.length < 7">
        <summary>What was not imported, and why</summary>
        <ul class="scrolls">
          <li v-for="r in importList.data.value.refused" :key="r.line">
            Row {{ r.line }}, {{ r.text }}: {{ r.says }}
          </li>
        </ul>
      </details>
    </template>
    <template v-else-if="preview.data.value">
      <div class="scroll scroll-x">
        <DataTable :columns="columns">
          <template v-for="(c, i) in columns" :key="c.key" #[c.key]>
            <ChoiceBox v-model="layout.roles[i]!" :label="`What column ${i + 1} holds`" :options="roles" />
          </template>
          <tbody>
            <tr
              v-for="(row, y) in preview.data.value.rows"
              :key="y"
              :class="{ soft: y === 0 && layout.heading }"
            >
              <td v-for="(role, x) in layout.roles" :key="x" :class="{ off: !role }">{{ row[x] }}</td>
            </tr>
          </tbody>
        </DataTable>
      </div>
      <div class="acts flow gap-4 on-mid mt-2">
        <label
          >Import as
          <ChoiceBox v-model="site" name="site" label="Import as" :options="sites" />
        </label>
        <label
          v-if="asksArea"
          title="“Near me” and other phrases without a place count only if their searches are the town’s"
          >Searches of
          <ChoiceBox v-model="area" name="area" label="Searches of" :options="areas" />
        </label>
        <label><input v-model="layout.heading" type="checkbox" /> The first row names the columns</label>
        <ActionButton main :disabled="importList.isPending.value" @click="run">
          {{
            importList.isPending.value
              ? 'Importing…'
              : `Import ${plural(preview.data.value.total - (layout.heading ? 1 : 0), 'phrase')}`
          }}
        </ActionButton>
        <ActionButton quiet @click="emit('done', file)">Cancel</ActionButton>
      </div>
    </template>
  </FilePreview>
</template>

<style scoped>
td {
  max-width: var(--w40);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
select {
  color: var(--pencil);
  border-bottom: var(--pencil-line);
}
.off {
  color: var(--ink-soft);
}
ul {
  margin: var(--s1) 0 0;
  max-height: var(--w18);
}
</style>
