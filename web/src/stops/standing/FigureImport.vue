<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { importFiguresMutation, previewFiguresMutation } from '@/api/calls'
import type { FigureLayout } from '@/api/types'
import FilePreview from '@/parts/FilePreview.vue'
import { plural } from '@/parts/format'
import ActionButton from '@/ui/ActionButton.vue'
import ChoiceBox from '@/ui/ChoiceBox.vue'
import DataTable from '@/ui/DataTable.vue'

/** A file of figures before it is kept: what it is, what its columns have, whose it is; and what would be left out. */
const props = defineProps<{ client: number; file: File }>()
const emit = defineEmits<{ done: []; kept: [says: string, id: number] }>()
const preview = useMutation(previewFiguresMutation())
const keep = useMutation(importFiguresMutation())
const layout = ref<FigureLayout>()
const table = computed(() => layout.value && preview.data.value?.tables[layout.value.table])

/** Reads the file as it is said, or as it is guessed. */
async function read(said?: FigureLayout) {
  const file = props.file
  const body = { file, layout: said && JSON.stringify(said) }
  const p = await preview.mutateAsync({ path: { client: props.client }, body }).catch(() => null)
  if (!p || file !== props.file) return // another one was chosen meanwhile
  if (!said) takeTable(p.use)
}
function takeTable(n: number) {
  const t = preview.data.value!.tables[n]!
  layout.value = {
    table: n,
    kind: t.kind,
    heading: t.heading,
    columns: [...t.columns],
    site: t.site,
    source: layout.value?.source ?? '',
    taken_on: layout.value?.taken_on ?? '',
  }
}
watch(
  () => props.file,
  () => ((layout.value = undefined), keep.reset(), void read()),
  { immediate: true },
)

const kinds = computed(() => (table.value?.choices ?? []).map((c) => ({ value: c.kind, says: c.name })))
const choices = computed(() =>
  (table.value?.choices.find((c) => c.kind === layout.value?.kind)?.columns ?? []).map((c) => ({
    value: c.code,
    says: c.name,
  })),
)
const pairs = computed(() => layout.value?.kind === 'pairs')
const columns = computed(() =>
  pairs.value
    ? [
        { key: 'has', title: 'what it is', width: 'w28' },
        { key: 'label', title: 'as it stands' },
        { key: 'value', title: '' },
      ]
    : (layout.value?.columns ?? []).map((_, i) => ({ key: `column${i}` })),
)
const sites = computed(() => [
  { value: '', says: 'as its rows say' },
  ...(preview.data.value?.sites ?? []).map((s) => ({ value: s.domain, says: s.name })),
])
const tables = computed(() =>
  (preview.data.value?.tables ?? []).map((t, i) => ({ value: String(i), says: t.name || `table ${i + 1}` })),
)
const changed = () => void read(layout.value)

async function run() {
  const body = { file: props.file, layout: JSON.stringify(layout.value) }
  const kept = await keep.mutateAsync({ path: { client: props.client }, body }).catch(() => null)
  if (!kept) return
  emit('kept', kept.says, kept.import)
  emit('done')
}
</script>

<template>
  <FilePreview
    label="Import figures"
    :file="file"
    :reading="preview.isPending.value && !layout"
    :unread="layout ? null : preview.error.value"
    :fault="keep.error.value ?? (layout ? preview.error.value : null)"
    @close="emit('done')"
  >
    <template v-if="layout && table">
      <p class="flow wrap gap-4 lines-1 on-mid flush">
        <label v-if="tables.length > 1"
          >Table
          <ChoiceBox
            :model-value="String(layout.table)"
            label="Table"
            :options="tables"
            @update:model-value="(n: string) => takeTable(Number(n))"
          />
        </label>
        <label
          >It has <ChoiceBox v-model="layout.kind" label="What it has" :options="kinds" @change="changed"
        /></label>
        <label
          >of
          <ChoiceBox v-model="layout.site" name="site" label="Whose it is" :options="sites" @change="changed"
        /></label>
        <label class="soft"
          >source
          <input
            v-model="layout.source"
            class="field"
            name="import_source"
            :placeholder="file.name"
            maxlength="200"
        /></label>
        <label class="soft"
          >day
          <input v-model="layout.taken_on" class="field" name="import_day" placeholder="today" maxlength="10"
        /></label>
      </p>
      <div class="scroll-x mt-2">
        <DataTable :columns="columns" data-preview>
          <template v-for="(c, i) in pairs ? [] : columns" :key="c.key" #[c.key]>
            <ChoiceBox
              v-model="layout.columns[i]!"
              :label="`What column ${i + 1} has`"
              :options="choices"
              @change="changed"
            />
          </template>
          <tbody>
            <template v-if="pairs">
              <tr v-for="(row, y) in table.rows" :key="y">
                <td>
                  <ChoiceBox
                    v-model="layout.columns[y]!"
                    :label="`What “${row[0]}” is`"
                    :options="choices"
                    @change="changed"
                  />
                </td>
                <td>{{ row[0] }}</td>
                <td>{{ row[1] }}</td>
              </tr>
            </template>
            <template v-else>
              <tr v-for="(row, y) in table.rows" :key="y" :class="{ soft: y === 0 && layout.heading >= 0 }">
                <td v-for="(c, x) in layout.columns" :key="x" class="cell" :class="{ soft: !c }">
                  {{ row[x] }}
                </td>
              </tr>
            </template>
          </tbody>
        </DataTable>
      </div>
      <p class="flow wrap gap-4 lines-1 on-mid mt-2 flush">
        <ActionButton main :disabled="keep.isPending.value || table.finds === 'nothing'" @click="run">
          {{ keep.isPending.value ? 'Importing…' : `Import ${table.finds}` }}
        </ActionButton>
        <ActionButton quiet @click="emit('done')">Cancel</ActionButton>
        <span v-if="table.need_site && !layout.site" class="mistake"
          >The rows do not say whose they are: choose it above.</span
        >
      </p>
      <details v-if="table.left_n">
        <summary>{{ plural(table.left_n, 'row') }} left out</summary>
        <ul class="scrolls">
          <li v-for="r in table.left_out" :key="r.line + r.text">
            <template v-if="r.line">Row {{ r.line }}, </template>{{ r.text }}: {{ r.why }}
          </li>
        </ul>
      </details>
    </template>
  </FilePreview>
</template>

<style scoped>
.cell {
  max-width: var(--w30);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
