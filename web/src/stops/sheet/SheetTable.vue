<script setup lang="ts">
import { computed, reactive } from 'vue'
import type { Ground, Sheet } from '@/api/client'
import { count } from '@/parts/format'
import ColumnHead from './ColumnHead.vue'
import HeadingRows from './HeadingRows.vue'
import ImageRows from './ImageRows.vue'
import type { Margin } from './margin'
import PageRows from './PageRows.vue'
import { faults } from './pageFacts'
import PhraseRows from './PhraseRows.vue'
import WordRows from './WordRows.vue'

/** The sheet: a column for the client, its target in pencil, a column for each rival. */
const props = defineProps<{ sheet: Sheet; client: number; ground: Ground; margin: Margin }>()

const own = computed(() => props.sheet.columns[0])
const rivals = computed(() => props.sheet.columns.slice(1))
const read = computed(() => !!own.value?.reading_id)
const narrow = computed(() => !!props.margin.what.value)

const folded = reactive<Record<string, boolean>>({})
const fold = (name: string) => (folded[name] = !folded[name])

const wordsTell = computed(() => {
  const words = props.sheet.target.words
  const mark = props.sheet.columns[props.sheet.target.mark_of]
  const strongest = mark
    ? `the strongest like page has ${count(mark.words.seen)}`
    : rivals.value.some((r) => r.unlike && r.reading_id)
      ? 'no rival’s page is of this kind'
      : 'no rival’s page was read'
  if (!read.value)
    return `${own.value?.url ? 'not read' : 'a new page'}: ${count(words.target)} words · ${strongest}`
  return words.hold
    ? `the page has enough: the work is placement · ${strongest}`
    : `${count(words.to_write)} to write · ${strongest}`
})

const phrasesTell = computed(() => {
  const families = props.sheet.families.length
  if (!families) return 'no phrases yet: enter them on the ground'
  if (!read.value) return families === 1 ? '1 family to place' : `${families} families to place`
  const bare = own.value!.families.filter((f) => !f.exact.title && !f.exact.h1 && !f.exact.image_names).length
  if (!bare) return 'every family stands in the title, the h1 or an image name'
  if (families === 1) return 'the phrase is missing from the title, the h1 and every image name'
  return `${bare === families ? `all ${bare}` : `${bare} of ${families}`} families are missing from the title, the h1 and every image name`
})

const headingsTell = computed(() => {
  if (!read.value) return ''
  const h1s = own.value!.headings.filter((h) => h.level === 1)
  if (!h1s.length) return 'there is no h1'
  return `${h1s.length} h1, says “${h1s[0]!.text}” · ${own.value!.headings.length} headings in all`
})

const pageFaults = computed(() => (own.value?.details ? faults(own.value) : []))
const pageTell = computed(() =>
  pageFaults.value.length || !read.value
    ? pageFaults.value.map((f) => f.says).join(' · ')
    : 'nothing stands out',
)

const imagesTell = computed(() =>
  read.value ? `${own.value!.carrying} of ${own.value!.images.length} carry a phrase` : '',
)
</script>

<template>
  <div class="scroll">
    <table :class="{ narrow }" :style="{ '--rivals': rivals.length }">
      <colgroup>
        <col class="label" />
        <col class="own" />
        <col class="target" />
        <col v-for="r in rivals" :key="r.entry_id" />
      </colgroup>
      <thead>
        <tr>
          <th class="corner soft" scope="col">words seen: what select-all copies</th>
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
            <span class="under">{{ sheet.page.kind }}, yardstick</span>
          </th>
          <th v-for="r in rivals" :key="r.entry_id" class="rival" scope="col">
            <ColumnHead
              :column="r"
              :kind="sheet.page.kind"
              :client="client"
              :page="sheet.page.id"
              :narrow="narrow"
            />
          </th>
        </tr>
      </thead>
      <template
        v-for="group in [
          { name: 'Words', tells: wordsTell, rows: WordRows },
          { name: 'Phrases', tells: phrasesTell, rows: PhraseRows },
          { name: 'Headings', tells: headingsTell, rows: HeadingRows },
          { name: 'Images', tells: imagesTell, rows: ImageRows },
          { name: 'Page', tells: pageTell, rows: PageRows },
        ]"
        :key="group.name"
      >
        <tbody class="group">
          <tr>
            <th scope="rowgroup">
              <button
                class="plain slab"
                type="button"
                :aria-expanded="!folded[group.name]"
                @click="fold(group.name)"
              >
                {{ group.name }}<span v-if="folded[group.name]" class="soft"> +</span>
              </button>
            </th>
            <td :colspan="rivals.length + 2" class="soft">
              <template v-if="group.name === 'Page'">
                <span v-for="f in pageFaults.filter((x) => x.first)" :key="f.says" class="stamp first">{{
                  f.says
                }}</span>
                {{
                  pageFaults
                    .filter((x) => !x.first)
                    .map((x) => x.says)
                    .join(' · ') || (pageFaults.length ? '' : group.tells)
                }}
              </template>
              <template v-else>{{ group.tells }}</template>
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
    <p v-if="!rivals.length" class="none soft">
      No rivals yet.
      <router-link :to="{ name: 'lineup', params: { client } }">Take some in the lineup</router-link>; until
      then the guideline is the target.
    </p>
  </div>
</template>

<style>
/* The rows of all groups share one table: their look stands here. */
.scroll {
  overflow-x: auto;
}
.scroll table {
  border-collapse: collapse;
  table-layout: fixed;
  width: 100%;
  /* Rivals never get narrower than their marks can be read: beyond that the sheet is scrolled. */
  min-width: calc(570px + var(--rivals) * 134px);
}
@media (max-width: 1100px) {
  .scroll table {
    min-width: calc(490px + var(--rivals) * 132px) !important;
  }
  .scroll table.narrow {
    min-width: calc(420px + var(--rivals) * 58px) !important;
  }
  .scroll col.label {
    width: 160px !important;
  }
  .scroll col.own,
  .scroll col.target {
    width: 164px !important;
  }
  .scroll .narrow col.label {
    width: 140px !important;
  }
  .scroll .narrow col.target {
    width: 116px !important;
  }
  .scroll .cell {
    padding: 0 7px !important;
  }
  .scroll .narrow td.rival .large {
    font-size: 18px;
  }
  .scroll .narrow td.rival svg {
    max-width: 100%;
  }
}
.scroll table.narrow {
  min-width: calc(516px + var(--rivals) * 74px);
}
.scroll col.label {
  width: 206px;
}
.scroll col.own,
.scroll col.target {
  width: 188px;
}
.scroll .narrow col.own,
.scroll .narrow col.target {
  width: 172px;
}
.scroll .narrow col.label {
  width: 172px;
}
.scroll th,
.scroll td {
  text-align: left;
  font-weight: 400;
  height: var(--row);
  padding: 0;
  border-bottom: 1px solid var(--rule);
  border-right: 1px solid var(--rule);
  overflow: hidden;
}
.scroll th:last-child,
.scroll td:last-child {
  border-right: 0;
}
.scroll tbody th,
.scroll .corner {
  padding: 0 6px 0 var(--edge);
  white-space: nowrap;
  text-overflow: ellipsis;
}
.scroll thead th {
  height: 54px;
  padding: 9px 10px 7px;
  border-bottom-color: var(--ink);
  vertical-align: top;
}
.scroll .corner {
  white-space: normal;
  font-size: 12px;
  padding-top: 11px;
}
.scroll .group th,
.scroll .group td {
  background: var(--band);
  border-bottom: 1px solid var(--ink);
  border-top: 1px solid var(--ink);
}
.scroll .group th .slab {
  font-size: 15.5px;
}
.scroll .first {
  margin-right: 8px;
}
.scroll .group td {
  padding: 0 10px;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.scroll .target,
.scroll td.target {
  background: var(--pencil-wash);
  color: var(--pencil);
}
.scroll td.rival,
.scroll th.rival {
  color: var(--rival);
}
.scroll .slab {
  font-size: 15px;
}
.scroll .under {
  display: block;
  font-size: 12.5px;
}
/* Every figure can be opened: the whole cell is its button. */
.scroll .cell {
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
.scroll .narrow .cell {
  padding: 0 7px;
}
.scroll .cell:hover {
  background: rgb(var(--v-theme-pencil-wash), 0.6);
}
.scroll .cell.at {
  box-shadow: inset 0 -3px 0 var(--pencil);
}
.scroll .cell:focus-visible {
  outline-offset: -2px;
}
.scroll .text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.scroll .end {
  margin-left: auto;
}
.scroll .none {
  padding: 10px var(--edge);
}
</style>
