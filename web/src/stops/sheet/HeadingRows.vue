<script setup lang="ts">
import type { Column, Sheet } from '@/api/types'
import { count } from '@/parts/format'
import SheetCell from './SheetCell.vue'
import type { Margin } from './margin'

defineProps<{ sheet: Sheet; rivals: Column[]; margin: Margin; narrow: boolean }>()

const h1 = (c: Column) => c.headings.find((h) => h.level === 1)?.text ?? 'no H1'
const subheads = (c: Column) => c.heading_count - c.headings.filter((h) => h.level === 1).length
</script>

<template>
  <tbody>
    <tr>
      <th scope="row">H1</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <SheetCell v-if="c.reading_id" :title="h1(c)" @click="margin.open('headings', i)">
            <span class="whole pad-1 sides-0 anywhere">{{ h1(c) }}</span>
          </SheetCell>
        </td>
        <td v-if="i === 0" class="target">
          <SheetCell v-if="sheet.target.h1" plain :title="sheet.target.h1"
            ><span class="whole pad-1 sides-0 anywhere">{{ sheet.target.h1 }}</span></SheetCell
          >
        </td>
      </template>
    </tr>
    <tr>
      <th scope="row">All headings</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <SheetCell
            v-if="c.reading_id"
            :at="margin.shows('headings', i)"
            data-cell="headings"
            :data-column="i"
            :data-figure="c.heading_count"
            @click="margin.open('headings', i)"
          >
            {{ count(c.heading_count) }}
            <span v-if="!narrow" class="soft one-line">{{ subheads(c) }} below the H1</span>
          </SheetCell>
        </td>
        <td v-if="i === 0" class="target"></td>
      </template>
    </tr>
  </tbody>
</template>

<style scoped>
/* What a page calls itself is never cut. */
.whole {
  line-height: 1.25;
}
</style>
