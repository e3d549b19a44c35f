<script setup lang="ts">
import type { Ground, Sheet } from '@/api/types'
import { computed, reactive } from 'vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import ColumnHead from './ColumnHead.vue'
import HeadingRows from './HeadingRows.vue'
import ImageRows from './ImageRows.vue'
import type { Margin } from './margin'
import PageRows from './PageRows.vue'
import PhraseRows from './PhraseRows.vue'
import { summaries } from './summaries'
import WordRows from './WordRows.vue'

/** The sheet: a column for the client, its target in pencil, a column for each rival. */
const props = defineProps<{ sheet: Sheet; client: number; ground: Ground; margin: Margin }>()

const own = computed(() => props.sheet.columns[0])
/* What stands beside the target: the draft that was kept last, then the rivals. */
const rivals = computed(() => props.sheet.columns.slice(1))
const read = computed(() => !!own.value?.reading_id)
const narrow = computed(() => !!props.margin.what.value)

const columns = computed<Column[]>(() => [
  narrow.value
    ? { key: 'label', width: 'w22', narrow: 'w18' }
    : { key: 'label', width: 'w26', narrow: 'w20' },
  { key: 'own', width: narrow.value ? 'w22' : 'w24', narrow: 'w20' },
  narrow.value
    ? { key: 'target', width: 'w22', narrow: 'w15' }
    : { key: 'target', width: 'w24', narrow: 'w20' },
  ...rivals.value.map((r) => ({ key: String(r.entry_id) })),
])

const folded = reactive<Record<string, boolean>>({})
const fold = (name: string) => (folded[name] = !folded[name])

const flaws = computed(() => own.value?.details?.flaws ?? [])
const pageSays = computed(() => {
  if (!read.value) return ''
  const others = flaws.value.filter((f) => !f.first).map((f) => f.says)
  return flaws.value.length ? others.join(' · ') : 'nothing stands out'
})
const groups = computed(() => [
  { name: 'Words', says: summaries.words(props.sheet), rows: WordRows },
  { name: 'Phrases', says: summaries.phrases(props.sheet), rows: PhraseRows },
  { name: 'Headings', says: summaries.headings(props.sheet), rows: HeadingRows },
  { name: 'Images', says: summaries.images(props.sheet), rows: ImageRows },
  { name: 'Page', says: pageSays.value, rows: PageRows, first: flaws.value.filter((f) => f.first) },
])
</script>

<template>
  <div class="scroll-x">
    <DataTable
      :columns="columns"
      class="sheet"
      :class="{ narrow }"
      lined
      fixed
      filled
      :style="{ '--rivals': rivals.length }"
    >
      <template #label>words seen: what select-all and copy gives</template>
      <template #own>
        <ColumnHead
          v-if="own"
          :column="own"
          :kind="sheet.page.kind"
          :client="client"
          :page="sheet.page.id"
          :narrow="narrow"
        />
      </template>
      <template #target>
        <span class="slab">Target</span>
        <span class="under">from your rules</span>
      </template>
      <template v-for="(r, i) in rivals" #[r.entry_id] :key="r.entry_id">
        <ColumnHead
          :class="r.role"
          :column="r"
          :kind="sheet.page.kind"
          :client="client"
          :page="sheet.page.id"
          :narrow="narrow"
          @beside="margin.open('beside', i + 1)"
        />
      </template>
      <template v-for="group in groups" :key="group.name">
        <tbody>
          <tr class="kind">
            <th scope="rowgroup">
              <button
                class="quiet slab"
                type="button"
                :aria-expanded="!folded[group.name]"
                @click="fold(group.name)"
              >
                {{ group.name }}<span v-if="folded[group.name]" class="soft"> +</span>
              </button>
            </th>
            <td :colspan="rivals.length + 2" class="soft one-line pad-0 sides-2" :title="group.says">
              <span v-for="f in group.first" :key="f.code" class="stamp mr-2">{{ f.says }}</span>
              {{ group.says }}
            </td>
          </tr>
        </tbody>
        <component
          :is="group.rows"
          v-if="!folded[group.name]"
          :sheet="sheet"
          :rivals="rivals"
          :margin="margin"
          :narrow="narrow"
        />
      </template>
    </DataTable>
    <p v-if="!rivals.some((r) => r.role === 'rival')" class="soft pad-2 edge">
      No rivals yet.
      <router-link :to="{ name: 'lineup', params: { client } }">Add some in the lineup</router-link>. Until
      then the guideline is the target.
    </p>
  </div>
</template>

<style scoped>
/* Rivals never get narrower than their marks can be read: beyond that the sheet is scrolled. */
.sheet {
  min-width: calc(var(--w70) + var(--rivals) * var(--w18));
}
.sheet.narrow {
  min-width: calc(var(--w65) + var(--rivals) * var(--w9));
}
@media (max-width: 1100px) {
  .sheet {
    min-width: calc(var(--w60) + var(--rivals) * var(--w18));
  }
  .sheet.narrow {
    min-width: calc(var(--w52) + var(--rivals) * var(--w10));
  }
}
</style>
