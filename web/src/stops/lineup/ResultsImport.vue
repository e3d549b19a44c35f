<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { keepResultsMutation, previewResultsMutation } from '@/api/calls'
import type { Lineup, ResultField } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref, watch } from 'vue'
import { figure, moment, plural } from '@/parts/format'
import { fields, partNames, parts } from './results'

/** A page of search results that was pasted, dropped or chosen: what was read of it, before it is kept. */
const props = defineProps<{
  client: number
  file: File
  other?: File | undefined
  phrase: string
  lineup?: Lineup | undefined
}>()
const emit = defineEmits<{ done: [lineup?: Lineup] }>()
const preview = useMutation(previewResultsMutation())
const keep = useMutation(keepResultsMutation())
const asked = ref(props.phrase)
/* Of the two forms of what was pasted, the one that more entries are read of. */
const used = ref(props.file)
/* What a person said that the columns of a table hold; empty leaves it to the headings. */
const columns = ref<ResultField[]>([])

/** The search that is shown, 0 for none. */
const shown = () => (props.lineup?.recorded_at ? props.lineup.id : 0)

/** A column of a table holds something else: the table is read anew. */
function columnTo(at: number, field: string) {
  columns.value = read.value!.columns.map((c, i) =>
    i === at ? (field as ResultField) : c === field ? '' : c,
  )
  preview.mutate({
    path: { client: props.client },
    body: { file: used.value, columns: columns.value.join(','), continues: shown() },
  })
}

/** Shows what is read of a file, and returns how many entries it has. */
const look = (file: File) =>
  preview
    .mutateAsync({ path: { client: props.client }, body: { file, columns: '', continues: shown() } })
    .then((r) => r.entries.length)
    .catch(() => 0)

const read = computed(() => preview.data.value)
watch(
  () => props.file,
  async (file) => {
    keep.reset()
    columns.value = []
    used.value = file
    const others = props.other ? await look(props.other) : 0
    if ((await look(file)) < others && props.other) {
      used.value = props.other
      await look(props.other)
    }
    asked.value = read.value?.phrase || asked.value
  },
  { immediate: true },
)

const counts = computed(() =>
  parts
    .map((p) => ({ p, n: read.value?.entries.filter((e) => e.part === p).length ?? 0 }))
    .filter(({ n }) => n > 0)
    .map(({ p, n }) => `${n} ${partNames[p]}`)
    .join(', '),
)

/* The search shown, where the page is one of the same phrase: it may be its next page. */
const before = computed(() => {
  const l = props.lineup
  return l?.recorded_at && l.phrase.toLowerCase() === asked.value.trim().toLowerCase() ? l : undefined
})
/* Whether the page joins the search before it: what a person says, else as it looks. */
const said = ref<boolean>()
const joins = computed({
  get: () => !!before.value && (said.value ?? !!read.value?.continues),
  set: (yes: boolean) => (said.value = yes),
})

async function use() {
  const ok = await keep
    .mutateAsync({
      path: { client: props.client },
      body: {
        file: used.value,
        phrase: asked.value,
        columns: columns.value.join(','),
        continues: joins.value ? before.value!.id : 0,
      },
    })
    .catch(() => null)
  if (ok) emit('done', ok)
}
</script>

<template>
  <section class="results" aria-label="Search results">
    <p v-if="preview.error.value" class="mistake" role="alert">
      {{ preview.error.value.detail }}
      <button class="link" type="button" @click="emit('done')">Close</button>
    </p>
    <p v-else-if="!read" class="soft">Reading {{ file.name }}…</p>
    <template v-else>
      <form class="acts" @submit.prevent="use">
        <b data-read>{{ plural(read.entries.length, 'entry', 'entries') }} read:</b> {{ counts }}
        <label>
          searched for
          <input v-model="asked" class="field" name="results_phrase" placeholder="phrase" />
        </label>
        <button class="press main" type="submit" :disabled="!asked.trim() || keep.isPending.value">
          {{
            keep.isPending.value ? 'Looking at the pages…' : joins ? 'Add to the search' : 'Use these results'
          }}
        </button>
        <label v-if="before" title="The next page of the same results, or a longer list of the map">
          <input v-model="joins" type="checkbox" name="joins" /> continues the search of
          {{ moment(before.recorded_at!) }}
        </label>
        <button class="link" type="button" @click="emit('done')">Cancel</button>
        <span class="soft">Nothing is kept until then. Searches before it stay.</span>
      </form>
      <p v-if="read.heading.length" class="columns" data-columns>
        <span class="soft">The columns hold</span>
        <label v-for="(h, i) in read.heading" :key="i">
          <span class="mono">{{ h || `column ${i + 1}` }}</span>
          <select
            :value="read.columns[i]"
            :aria-label="`What ${h || `column ${i + 1}`} holds`"
            @change="columnTo(i, ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="f in fields" :key="f.field" :value="f.field">{{ f.says }}</option>
          </select>
        </label>
      </p>
      <div class="scroll">
        <table>
          <tbody>
            <tr v-for="(e, i) in read.entries" :key="i" :data-part="e.part">
              <td class="soft">{{ partNames[e.part] }}</td>
              <td class="num">{{ e.position || '' }}</td>
              <td class="title" :title="e.title">{{ e.title }}</td>
              <td class="mono" :title="e.url ?? e.domain ?? undefined">
                {{ e.domain || '' }}<span v-if="!e.domain" class="soft">no site known</span>
              </td>
              <td class="num">{{ e.rating ? e.rating.toFixed(1) : '' }}</td>
              <td class="num soft">{{ e.reviews === null ? '' : figure(e.reviews) }}</td>
              <td class="soft">{{ e.phone }}</td>
              <td class="soft">{{ e.years ? plural(e.years, 'year') : '' }}</td>
            </tr>
            <tr v-for="u in read.unread" :key="u">
              <td class="mistake">not read</td>
              <td colspan="7">{{ u }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <NoticeLine :fault="keep.error.value" />
    </template>
  </section>
</template>

<style scoped>
.results {
  padding: 10px var(--edge) 12px;
  border-bottom: 1px solid var(--ink);
  background: var(--pencil-wash);
}
p {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
.field {
  width: clamp(150px, 18vw, 240px);
}
.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-top: 8px;
}
.columns select {
  font: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--ink-soft);
  margin-left: 4px;
}
.scroll {
  max-height: 46vh;
  overflow: auto;
  margin-top: 8px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
td {
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--rule);
  white-space: nowrap;
}
.title {
  max-width: 420px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.num {
  text-align: right;
}
</style>
