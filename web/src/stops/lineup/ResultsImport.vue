<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { keepResultsMutation, previewResultsMutation } from '@/api/calls'
import type { Lineup, ResultField } from '@/api/types'
import FilePreview from '@/parts/FilePreview.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
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
const held = ref<ResultField[]>([])

const columns: Column[] = [
  { key: 'part', title: 'part' },
  { key: 'position', title: '#', hint: 'Position', num: true },
  { key: 'name', title: 'name or title' },
  { key: 'site', title: 'site' },
  { key: 'rating', title: 'rating', num: true },
  { key: 'reviews', title: 'reviews', num: true },
  { key: 'phone', title: 'phone' },
  { key: 'years', title: 'in trade' },
]

/** The search that is shown, 0 for none. */
const shown = () => (props.lineup?.recorded_at ? props.lineup.id : 0)

/** A column of a table holds something else: the table is read anew. */
function columnTo(at: number, field: ResultField) {
  held.value = read.value!.columns.map((c, i) => (i === at ? field : c === field ? '' : c))
  preview.mutate({
    path: { client: props.client },
    body: { file: used.value, columns: held.value.join(','), continues: shown() },
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
    held.value = []
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
        columns: held.value.join(','),
        continues: joins.value ? before.value!.id : 0,
      },
    })
    .catch(() => null)
  if (ok) emit('done', ok)
}
</script>

<template>
  <FilePreview
    class="results"
    label="Search results"
    :file="file"
    :reading="!read"
    :unread="preview.error.value"
    :fault="keep.error.value"
    @close="emit('done')"
  >
    <template v-if="read">
      <form class="acts flow wrap gap-3 lines-2 on-mid" @submit.prevent="use">
        <b data-read>{{ plural(read.entries.length, 'entry', 'entries') }} read:</b> {{ counts }}
        <label>
          searched for
          <input v-model="asked" class="field" name="results_phrase" placeholder="phrase" />
        </label>
        <ActionButton main submit :disabled="!asked.trim() || keep.isPending.value">
          {{
            keep.isPending.value ? 'Looking at the pages…' : joins ? 'Add to the search' : 'Use these results'
          }}
        </ActionButton>
        <label v-if="before" title="The next page of the same results, or a longer list of the map">
          <input v-model="joins" type="checkbox" name="joins" /> continues the search of
          {{ moment(before.recorded_at!) }}
        </label>
        <ActionButton quiet @click="emit('done')">Cancel</ActionButton>
        <span class="soft">Nothing is kept until then. Searches before it stay.</span>
      </form>
      <p v-if="read.heading.length" class="columns flow wrap gap-4 lines-1" data-columns>
        <span class="soft">The columns hold</span>
        <label v-for="(h, i) in read.heading" :key="i">
          <span class="mono">{{ h || `column ${i + 1}` }}</span>
          <ChoiceBox
            :model-value="read.columns[i]!"
            :label="`What ${h || `column ${i + 1}`} holds`"
            :options="fields"
            @update:model-value="columnTo(i, $event)"
          />
        </label>
      </p>
      <div class="scroll scrolls mt-2">
        <DataTable :columns="columns">
          <tbody>
            <tr v-for="(e, i) in read.entries" :key="i" :data-part="e.part">
              <td class="soft">{{ partNames[e.part] }}</td>
              <td class="num to-right">{{ e.position || '' }}</td>
              <td class="title" :title="e.title">{{ e.title }}</td>
              <td class="mono" :title="e.url ?? e.domain ?? undefined">
                {{ e.domain || '' }}<span v-if="!e.domain" class="soft">no site known</span>
              </td>
              <td class="num to-right">{{ e.rating ? e.rating.toFixed(1) : '' }}</td>
              <td class="num soft to-right">{{ e.reviews === null ? '' : figure(e.reviews) }}</td>
              <td class="soft">{{ e.phone }}</td>
              <td class="soft">{{ e.years ? plural(e.years, 'year') : '' }}</td>
            </tr>
            <tr v-for="u in read.unread" :key="u">
              <td class="mistake">not read</td>
              <td colspan="7">{{ u }}</td>
            </tr>
          </tbody>
        </DataTable>
      </div>
    </template>
  </FilePreview>
</template>

<style scoped>
.field {
  width: clamp(var(--w19), 18vw, var(--w30));
}
.columns {
  margin-top: var(--s2);
}
.columns select {
  border-bottom: var(--soft-line);
  margin-left: var(--s1);
}
.scroll {
  max-height: 46vh;
}
td {
  white-space: nowrap;
}
.title {
  max-width: var(--w52);
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
