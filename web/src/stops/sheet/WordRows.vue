<script setup lang="ts">
import type { Column, Sheet } from '@/api/types'
import { computed } from 'vue'
import { count, figure } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'
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
        <button
          v-if="c.reading_id"
          class="cell stack"
          :class="{ at: margin.shows('seen', 0) }"
          type="button"
          data-cell="seen"
          data-column="0"
          :data-figure="c.words.seen"
          @click="margin.open('seen', 0)"
        >
          <span class="figure large">{{ count(c.words.seen) }}</span>
          <TallyStrokes :words="c.words.seen" :write="words.to_write" :height="18" :most="narrow ? 5 : 6" />
        </button>
        <span v-else class="cell soft">no page yet</span>
      </td>
      <td class="target">
        <button
          class="cell stack"
          :class="{ at: margin.shows('rule', 0) }"
          type="button"
          @click="margin.open('rule', 0)"
        >
          <span class="figure large">{{
            words.rule === 'none' ? '–' : words.hold ? 'enough' : count(words.target)
          }}</span>
          <span v-if="words.rule === 'none'">no word target</span>
          <span v-else-if="words.hold">{{ narrow ? 'place' : 'place phrases, no writing' }}</span>
          <span v-else>write {{ count(words.to_write) }}<template v-if="!narrow"> more</template></span>
        </button>
      </td>
      <td v-for="(c, i) in rivals" :key="c.entry_id" :class="c.role">
        <button
          v-if="c.reading_id"
          class="cell stack"
          :class="{ at: margin.shows('seen', i + 1) }"
          type="button"
          data-cell="seen"
          :data-column="i + 1"
          :data-figure="c.words.seen"
          @click="margin.open('seen', i + 1)"
        >
          <span class="figure large">{{ count(c.words.seen) }}</span>
          <TallyStrokes
            :words="c.words.seen"
            :tone="c.role === 'rival' ? 'rival' : 'ink'"
            :height="narrow ? 14 : 18"
            :most="narrow ? 4 : 6"
          />
        </button>
      </td>
    </tr>
    <tr v-for="row in rows" :key="row.name">
      <th scope="row" :title="row.title">{{ row.name }}</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <button
            v-if="c.reading_id && row.of(c) !== null"
            class="cell"
            :class="{ at: margin.shows(row.show, i) }"
            type="button"
            :data-cell="row.name === 'Own words' ? 'own' : row.show"
            :data-column="i"
            :data-figure="row.of(c)"
            @click="margin.open(row.show, i)"
          >
            {{ figure(row.of(c)) }}
          </button>
        </td>
        <td v-if="i === 0" class="target">
          <span v-if="row.target?.()" class="cell" title="The target minus menus and footer">{{
            row.target()
          }}</span>
        </td>
      </template>
    </tr>
  </tbody>
</template>

<style scoped>
.tall td,
.tall th {
  height: 68px;
}
.cell.stack {
  flex-direction: column;
  align-items: flex-start;
  justify-content: center;
  gap: 3px;
}
.large {
  font-size: 25px;
  line-height: 1.05;
}
.tall .rival .large {
  font-weight: 600;
}
</style>
