<script setup lang="ts">
import type { Ground, Sheet } from '@/api/types'
import { computed, reactive } from 'vue'
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
  <div class="cells">
    <table :class="{ narrow }" :style="{ '--rivals': rivals.length }">
      <colgroup>
        <col class="label" />
        <col class="own" />
        <col class="target" />
        <col v-for="r in rivals" :key="r.entry_id" />
      </colgroup>
      <thead>
        <tr>
          <th class="corner soft" scope="col">words seen: what select-all and copy gives</th>
          <th scope="col">
            <ColumnHead
              v-if="own"
              :column="own"
              :kind="sheet.page.kind"
              :client="client"
              :page="sheet.page.id"
              :narrow="narrow"
            />
          </th>
          <th class="target" scope="col">
            <span class="slab">Target</span>
            <span class="under">from your rules</span>
          </th>
          <th v-for="(r, i) in rivals" :key="r.entry_id" :class="r.role" scope="col">
            <ColumnHead
              :column="r"
              :kind="sheet.page.kind"
              :client="client"
              :page="sheet.page.id"
              :narrow="narrow"
              @beside="margin.open('beside', i + 1)"
            />
          </th>
        </tr>
      </thead>
      <template v-for="group in groups" :key="group.name">
        <tbody class="group">
          <tr>
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
            <td :colspan="rivals.length + 2" class="soft" :title="group.says">
              <span v-for="f in group.first" :key="f.code" class="stamp first">{{ f.says }}</span>
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
    </table>
    <p v-if="!rivals.some((r) => r.role === 'rival')" class="none soft">
      No rivals yet.
      <router-link :to="{ name: 'lineup', params: { client } }">Add some in the lineup</router-link>. Until
      then the guideline is the target.
    </p>
  </div>
</template>

<style scoped>
/* The rows of all groups share one table: their look is here, and what a group says itself goes first. */
.cells {
  overflow-x: auto;
}
:where(.cells) :deep(table) {
  border-collapse: collapse;
  table-layout: fixed;
  width: 100%;
  /* Rivals never get narrower than their marks can be read: beyond that the sheet is scrolled. */
  min-width: calc(570px + var(--rivals) * 134px);
}
@media (max-width: 1100px) {
  :where(.cells) :deep(table) {
    min-width: calc(490px + var(--rivals) * 132px) !important;
  }
  :where(.cells) :deep(table.narrow) {
    min-width: calc(420px + var(--rivals) * 58px) !important;
  }
  :where(.cells) :deep(col.label) {
    width: 160px !important;
  }
  :where(.cells) :deep(col.own),
  :where(.cells) :deep(col.target) {
    width: 164px !important;
  }
  :where(.cells) :deep(.narrow col.label) {
    width: 140px !important;
  }
  :where(.cells) :deep(.narrow col.target) {
    width: 116px !important;
  }
  :where(.cells) :deep(.cell) {
    padding: 0 7px !important;
  }
  :where(.cells) :deep(.narrow td.rival .large) {
    font-size: 18px;
  }
  :where(.cells) :deep(.narrow td.rival svg) {
    max-width: 100%;
  }
}
:where(.cells) :deep(table.narrow) {
  min-width: calc(516px + var(--rivals) * 70px);
}
:where(.cells) :deep(col.label) {
  width: 206px;
}
:where(.cells) :deep(col.own),
:where(.cells) :deep(col.target) {
  width: 188px;
}
:where(.cells) :deep(.narrow col.own),
:where(.cells) :deep(.narrow col.target) {
  width: 172px;
}
:where(.cells) :deep(.narrow col.label) {
  width: 172px;
}
:where(.cells) :deep(th),
:where(.cells) :deep(td) {
  text-align: left;
  font-weight: 400;
  height: var(--row);
  padding: 0;
  border-bottom: 1px solid var(--rule);
  border-right: 1px solid var(--rule);
  overflow: hidden;
}
:where(.cells) :deep(th:last-child),
:where(.cells) :deep(td:last-child) {
  border-right: 0;
}
:where(.cells) :deep(tbody th),
:where(.cells) :deep(.corner) {
  padding: 0 6px 0 var(--edge);
  white-space: nowrap;
  text-overflow: ellipsis;
}
:where(.cells) :deep(thead th) {
  height: 54px;
  padding: 9px 10px 7px;
  border-bottom-color: var(--ink);
  vertical-align: top;
}
:where(.cells) :deep(.corner) {
  white-space: normal;
  font-size: 12px;
  padding-top: 11px;
}
:where(.cells) :deep(.group th),
:where(.cells) :deep(.group td) {
  background: var(--band);
  border-bottom: 1px solid var(--ink);
  border-top: 1px solid var(--ink);
}
:where(.cells) :deep(.group th .slab) {
  font-size: 15.5px;
}
:where(.cells) :deep(.first) {
  margin-right: 8px;
}
:where(.cells) :deep(.group td) {
  padding: 0 10px;
  white-space: nowrap;
  text-overflow: ellipsis;
}
:where(.cells) :deep(.target),
:where(.cells) :deep(td.target) {
  background: var(--pencil-wash);
  color: var(--pencil);
}
:where(.cells) :deep(td.rival),
:where(.cells) :deep(th.rival) {
  color: var(--rival);
}
:where(.cells) :deep(.slab) {
  font-size: 15px;
}
:where(.cells) :deep(.under) {
  display: block;
  font-size: 12.5px;
}
/* Every figure can be opened: the whole cell is its button. */
:where(.cells) :deep(.cell) {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  height: 100%;
  min-height: calc(var(--row) - 1px);
  padding: 0 10px;
  background: none;
  border: 0;
  cursor: pointer;
  text-align: left;
  overflow: hidden;
  font-variant-numeric: lining-nums tabular-nums;
}
:where(.cells) :deep(.narrow .cell) {
  padding: 0 7px;
}
:where(.cells) :deep(.cell:hover) {
  background: rgb(var(--v-theme-pencil-wash), 0.6);
}
:where(.cells) :deep(.cell.at) {
  box-shadow: inset 0 -3px 0 var(--pencil);
}
:where(.cells) :deep(.cell:focus-visible) {
  outline-offset: -2px;
}
:where(.cells) :deep(.text) {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
:where(.cells) :deep(.end) {
  margin-left: auto;
}
:where(.cells) :deep(.none) {
  padding: 10px var(--edge);
}
</style>
