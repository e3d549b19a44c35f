<script setup lang="ts">
import { ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useBookChanges } from '@/api/book'
import type { Layout } from '@/api/client'
import { count } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** A list before it is taken: what its columns hold, and afterwards what became of it. */
const props = defineProps<{ client: number; file: File }>()
/* An undo may end when another list has been brought: it is told which one is done. */
const emit = defineEmits<{ done: [file: File] }>()
const { preview, bring, undoImport } = useBookChanges(() => props.client)
const undo = useUndo()
const layout = ref<Layout>({ heading: false, roles: [] })
/* The site whose found-for list it is, empty for phrases for the book. */
const site = ref('')

watch(
  () => props.file,
  async (file) => {
    bring.reset()
    const p = await preview.mutateAsync(file).catch(() => null)
    if (!p || file !== props.file) return // another one was brought meanwhile
    layout.value = { heading: p.layout.heading, roles: [...p.layout.roles] }
    site.value = p.site
  },
  { immediate: true },
)

const roles = [
  { role: '', says: 'not taken' },
  { role: 'phrase', says: 'phrase' },
  { role: 'volume', says: 'searches' },
  { role: 'difficulty', says: 'difficulty' },
  { role: 'position', says: 'position' },
  { role: 'address', says: 'address' },
]

async function take() {
  const file = props.file
  const report = await bring.mutateAsync({ file, layout: layout.value, site: site.value }).catch(() => null)
  if (!report?.import_id) return
  const says = site.value
    ? `What ${site.value} is found for was taken`
    : `${count(report.added)} phrases added`
  undo.offer(says, async () => {
    await undoImport.mutateAsync(report.import_id)
    emit('done', file)
  })
}
</script>

<template>
  <section class="list" aria-label="A list to be taken">
    <p v-if="preview.error.value" class="mistake" role="alert">{{ preview.error.value.message }}</p>
    <p v-else-if="preview.isPending.value" class="soft">Reading {{ file.name }}…</p>
    <template v-else-if="bring.data.value">
      <p role="status" data-report>
        <template v-if="bring.data.value.found">
          {{ site }} is found for <b>{{ count(bring.data.value.found) }}</b> phrases;
          <RouterLink :to="{ name: 'found', params: { client } }">set beside the others</RouterLink>.
        </template>
        <b>{{ count(bring.data.value.added) }}</b> phrases added,
        <b>{{ count(bring.data.value.joined) }}</b> joined to those that were there,
        <b>{{ count(bring.data.value.refused_total) }}</b> refused.
        <button class="link" type="button" @click="emit('done', file)">Put away</button>
      </p>
      <details v-if="bring.data.value.refused.length" :open="bring.data.value.refused.length < 7">
        <summary>What was refused, and why</summary>
        <ul>
          <li v-for="r in bring.data.value.refused" :key="r.line">
            row {{ r.line }}: {{ r.text }} — {{ r.reason }}
          </li>
        </ul>
      </details>
    </template>
    <template v-else-if="preview.data.value">
      <div class="scroll">
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
      <div class="acts">
        <label
          >These are
          <select v-model="site" name="site">
            <option value="">phrases for the book</option>
            <option v-for="s in preview.data.value.sites" :key="s.site" :value="s.site">
              what {{ s.site }} is found for
            </option>
          </select>
        </label>
        <label><input v-model="layout.heading" type="checkbox" /> The first row names the columns</label>
        <button class="press main" type="button" :disabled="bring.isPending.value" @click="take">
          {{
            bring.isPending.value
              ? 'Taking them…'
              : `Take ${count(preview.data.value.total - (layout.heading ? 1 : 0))} phrases`
          }}
        </button>
        <button class="link" type="button" @click="emit('done', file)">Leave it</button>
      </div>
    </template>
    <p v-if="bring.error.value" class="mistake" role="alert">{{ bring.error.value.message }}</p>
  </section>
</template>

<style scoped>
.list {
  padding: 10px var(--edge) 12px;
  border-bottom: 1px solid var(--ink);
  background: var(--pencil-wash);
}
p {
  margin: 0;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 3px 16px 3px 0;
  border-bottom: 1px solid var(--rule);
  max-width: 320px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
select {
  font: inherit;
  color: var(--pencil);
  background: none;
  border: 0;
  border-bottom: 1px dashed var(--pencil);
}
.off {
  color: var(--ink-soft);
}
.acts {
  display: flex;
  gap: 18px;
  align-items: center;
  margin-top: 10px;
}
ul {
  margin: 4px 0 0;
  max-height: 140px;
  overflow: auto;
}
</style>
