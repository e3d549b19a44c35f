<script setup lang="ts">
import type { Column, Sheet } from '@/api/types'
import { computed } from 'vue'
import { count, figure } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import SheetCell from './SheetCell.vue'
import type { Margin, What } from './margin'

const props = defineProps<{ sheet: Sheet; rivals: Column[]; margin: Margin; narrow: boolean }>()

const words = computed(() => props.sheet.target.words)
interface Row {
  name: string
  title?: string
  show: What
  of: (c: Column) => number | null
  target?: () => string
}
const all: Row[] = [
  {
    name: 'Copy words',
    show: 'copy',
    of: (c) => c.words.copy,
    target: () => (words.value.hold ? '' : count(words.value.writer)),
  },
  {
    name: 'Own words',
    title: 'Copy words that its site does not repeat from page to page',
    show: 'copy',
    of: (c) => c.own,
  },
  { name: 'Hidden words', show: 'hidden', of: (c) => c.words.hidden },
]
/* What no survey told of any page has no row. */
const rows = computed(() =>
  all.filter((r) => props.sheet.columns.some((c) => c.reading_id && r.of(c) !== null)),
)
</script>

<template>
  <tbody>
    <tr class="tall">
      <th scope="row">Words seen</th>
      <td v-for="(c, i) in sheet.columns.slice(0, 1)" :key="i">
        <SheetCell
          v-if="c.reading_id"
          stacked
          :at="margin.shows('seen', 0)"
          data-cell="seen"
          data-column="0"
          :data-figure="c.words.seen"
          @click="margin.open('seen', 0)"
        >
          <span class="figure large t-title">{{ count(c.words.seen) }}</span>
          <TallyStrokes :words="c.words.seen" :write="words.to_write" :height="18" :most="narrow ? 5 : 6" />
        </SheetCell>
        <SheetCell v-else plain class="soft">no page yet</SheetCell>
      </td>
      <td class="target">
        <SheetCell stacked :at="margin.shows('rule', 0)" @click="margin.open('rule', 0)">
          <span class="figure large t-title">{{
            words.rule === 'none' ? '–' : words.hold ? 'enough' : count(words.target)
          }}</span>
          <span v-if="words.rule === 'none'">no word target</span>
          <span v-else-if="words.hold">{{ narrow ? 'place' : 'place phrases, no writing' }}</span>
          <span v-else
            >write {{ count(words.to_write)
            }}<template v-if="!narrow && sheet.columns[0]?.reading_id"> more</template></span
          >
        </SheetCell>
      </td>
      <td v-for="(c, i) in rivals" :key="c.entry_id" :class="c.role">
        <SheetCell
          v-if="c.reading_id"
          stacked
          :at="margin.shows('seen', i + 1)"
          data-cell="seen"
          :data-column="i + 1"
          :data-figure="c.words.seen"
          @click="margin.open('seen', i + 1)"
        >
          <span class="figure large" :class="narrow ? 't-head' : 't-title'">{{ count(c.words.seen) }}</span>
          <TallyStrokes
            :words="c.words.seen"
            :tone="c.role === 'rival' ? 'rival' : 'ink'"
            :height="narrow ? 14 : 18"
            :most="narrow ? 4 : 6"
          />
        </SheetCell>
      </td>
    </tr>
    <tr v-for="row in rows" :key="row.name">
      <th scope="row" :title="row.title">{{ row.name }}</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <SheetCell
            v-if="c.reading_id && row.of(c) !== null"
            :at="margin.shows(row.show, i)"
            :data-cell="row.name === 'Own words' ? 'own' : row.show"
            :data-column="i"
            :data-figure="row.of(c)"
            @click="margin.open(row.show, i)"
          >
            {{ figure(row.of(c)) }}
          </SheetCell>
        </td>
        <td v-if="i === 0" class="target">
          <SheetCell v-if="row.target?.()" plain title="The target minus menus and footer">{{
            row.target()
          }}</SheetCell>
        </td>
      </template>
    </tr>
  </tbody>
</template>

<style scoped>
.tall td {
  height: var(--w9);
}
.large {
  line-height: 1.05;
}
</style>
