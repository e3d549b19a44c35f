<script setup lang="ts">
import type { Column, Placement, Sheet } from '@/api/client'
import PlacementMark from '@/parts/PlacementMark.vue'
import { groups } from '@/parts/slots'
import type { Margin } from './margin'

defineProps<{ sheet: Sheet; rivals: Column[]; margin: Margin; narrow: boolean }>()

const total = (p?: Placement) => (p ? p.exact.total + p.loose.total : 0)
/** The groups' shares of the mark's width. */
const widths: Record<string, number> = { page: 36, head: 23, text: 36, pics: 23 }
</script>

<template>
  <tbody>
    <tr v-if="sheet.families.length" class="legend">
      <th scope="row" class="soft">where it is</th>
      <td v-for="i in sheet.columns.length + 1" :key="i" :class="{ target: i === 2, rival: i > 2 }">
        <span v-if="!narrow || i <= 2" class="groups">
          <span v-for="g in groups" :key="g.name" :style="{ flexGrow: widths[g.name] }">{{ g.name }}</span>
        </span>
      </td>
    </tr>
    <tr v-for="(family, f) in sheet.families" :key="family.key">
      <th scope="row" :title="family.members.join('\n')">
        {{ family.lead }}
        <span v-if="family.members.length > 1" class="soft">+{{ family.members.length - 1 }}</span>
      </th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="{ rival: i > 0 }">
          <button
            v-if="c.reading_id"
            class="cell"
            :class="{ at: margin.shows('phrase', i, family.lead) }"
            type="button"
            data-cell="phrase"
            :data-column="i"
            :data-phrase="family.lead"
            :data-figure="total(c.families[f])"
            :aria-label="`${family.lead} on ${c.name}: ${total(c.families[f])}`"
            @click="margin.open('phrase', i, family.lead)"
          >
            <PlacementMark v-if="!narrow || i === 0" :placement="c.families[f]" :tone="i ? 'rival' : 'ink'" />
            <span class="end">{{ total(c.families[f]) }}</span>
          </button>
        </td>
        <td v-if="i === 0" class="target">
          <span class="cell">
            <PlacementMark :wanted="sheet.target.wanted[f]?.slots" target />
            <span class="end">{{ sheet.target.wanted[f]?.slots.length || '' }}</span>
          </span>
        </td>
      </template>
    </tr>
    <tr>
      <th scope="row">Made of</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="{ rival: i > 0 }">
          <button
            v-if="c.reading_id"
            class="cell"
            :class="{ at: margin.shows('made', i) }"
            type="button"
            @click="margin.open('made', i)"
          >
            <span class="text">{{ narrow && i ? 'words' : 'words it repeats' }}</span>
          </button>
        </td>
        <td v-if="i === 0" class="target">
          <button v-if="rivals.length" class="cell" type="button" @click="margin.open('made', 0)">
            <span class="text">what rivals share</span>
          </button>
        </td>
      </template>
    </tr>
    <tr v-if="!sheet.families.length">
      <th scope="row" class="soft">no phrases yet</th>
      <td :colspan="sheet.columns.length + 1"></td>
    </tr>
  </tbody>
</template>

<style scoped>
.legend td,
.legend th {
  height: 25px;
}
.groups {
  display: flex;
  gap: 6%;
  margin: 0 calc(10px + 3ch) 0 10px;
  max-width: 142px;
  font-size: 10.5px;
  letter-spacing: -0.2px;
  line-height: 1.3;
}
.groups span {
  flex-basis: 0;
  border-bottom: 1px solid currentColor;
}
</style>
