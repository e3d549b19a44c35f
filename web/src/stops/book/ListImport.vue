<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { importListMutation, previewListMutation, undoImportMutation } from '@/api/calls'
import type { ColumnRole, Layout, SearchArea } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
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

const roles: { role: ColumnRole; says: string }[] = [
  { role: '', says: 'skip' },
  { role: 'phrase', says: 'phrase' },
  { role: 'volume', says: 'searches/mo' },
  { role: 'difficulty', says: 'difficulty' },
  { role: 'position', says: 'position' },
  { role: 'address', says: 'URL' },
  { role: 'area', says: 'area of the searches' },
]

/* Where the searches were counted, asked once for a list that does not say it itself. */
const area = ref<SearchArea>('')
const asksArea = computed(() => layout.value.roles.includes('volume') && !layout.value.roles.includes('area'))
const areas: { area: SearchArea; says: string }[] = [
  { area: '', says: 'not known' },
  { area: 'town', says: 'the town' },
  { area: 'state', says: 'the state' },
  { area: 'country', says: 'the country' },
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
  <section class="list pad-2 edge ink-below washed" aria-label="Import a list">
    <NoticeLine v-if="preview.error.value" :fault="preview.error.value" />
    <p v-else-if="preview.isPending.value" class="soft flush">Reading {{ file.name }}…</p>
    <template v-else-if="importList.data.value">
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
        <table>
          <thead>
            <tr>
              <th v-for="(role, i) in layout.roles" :key="i" scope="col">
                <select v-model="layout.roles[i]" :aria-label="`What column ${i + 1} holds`">
                  <option v-for="r in roles" :key="r.role" :value="r.role">{{ r.says }}</option>
                </select>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="(row, y) in preview.data.value.rows"
              :key="y"
              :class="{ soft: y === 0 && layout.heading }"
            >
              <td v-for="(role, x) in layout.roles" :key="x" :class="{ off: !role }">{{ row[x] }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="acts flow gap-4 on-mid mt-2">
        <label
          >Import as
          <select v-model="site" name="site">
            <option value="">phrases for the book</option>
            <option v-for="s in preview.data.value.sites" :key="s.site" :value="s.site">
              phrases that {{ s.site }} is found for
            </option>
          </select>
        </label>
        <label
          v-if="asksArea"
          title="“Near me” and other phrases without a place count only if their searches are the town’s"
          >Searches of
          <select v-model="area" name="area">
            <option v-for="a in areas" :key="a.area" :value="a.area">{{ a.says }}</option>
          </select>
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
    <NoticeLine :fault="importList.error.value" />
  </section>
</template>

<style scoped>
th,
td {
  text-align: left;
  padding: var(--s1) var(--s4) var(--s1) 0;
  border-bottom: var(--line);
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
