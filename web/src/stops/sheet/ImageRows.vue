<script setup lang="ts">
import type { Column, Sheet } from '@/api/types'
import { count } from '@/parts/format'
import SheetCell from './SheetCell.vue'
import type { Margin } from './margin'

const props = defineProps<{ sheet: Sheet; rivals: Column[]; margin: Margin; narrow: boolean }>()

const rows: { name: string; key: string; of: (c: Column) => number; target: () => string }[] = [
  {
    name: 'Names with a phrase',
    key: 'images',
    of: (c) => c.carrying,
    target: () => String(props.sheet.target.carrying),
  },
  {
    name: 'With alt text',
    key: 'alts',
    of: (c) => c.with_alt,
    target: () => '',
  },
]
</script>

<template>
  <tbody>
    <tr v-for="row in rows" :key="row.key">
      <th scope="row">{{ row.name }}</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <SheetCell
            v-if="c.reading_id"
            :at="row.key === 'images' && margin.shows('images', i)"
            :data-cell="row.key"
            :data-column="i"
            :data-figure="row.of(c)"
            @click="margin.open('images', i)"
          >
            {{ count(row.of(c)) }} of {{ count(c.image_count) }}
          </SheetCell>
        </td>
        <td v-if="i === 0" class="target">
          <SheetCell v-if="row.target()" plain>{{ row.target() }}</SheetCell>
        </td>
      </template>
    </tr>
  </tbody>
</template>
