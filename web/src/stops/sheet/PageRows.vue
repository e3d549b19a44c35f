<script setup lang="ts">
import type { Column, Details, Sheet } from '@/api/types'
import SheetCell from './SheetCell.vue'
import type { Margin } from './margin'
import { formsVideosMaps, phoneSays } from './pageFacts'

defineProps<{ sheet: Sheet; rivals: Column[]; margin: Margin; narrow: boolean }>()

const rows: { name: string; of: (d: Details) => string; wanted?: string }[] = [
  { name: 'Phone', of: phoneSays, wanted: 'click to call' },
  { name: 'Forms, videos, maps', of: formsVideosMaps },
  { name: 'Testimonials', of: (d) => String(d.testimonials) },
]
</script>

<template>
  <tbody>
    <tr v-for="row in rows" :key="row.name">
      <th scope="row">{{ row.name }}</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <SheetCell
            v-if="c.details"
            :at="row.name === 'Phone' && margin.shows('page', i)"
            @click="margin.open('page', i)"
          >
            <span class="one-line">{{ row.of(c.details) }}</span>
          </SheetCell>
        </td>
        <td v-if="i === 0" class="target">
          <SheetCell v-if="row.wanted" plain>{{ row.wanted }}</SheetCell>
        </td>
      </template>
    </tr>
  </tbody>
</template>
