<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Found, FoundPhrase } from '@/api/types'
import { computed } from 'vue'
import LongList from '@/ui/LongList.vue'
import { figure, gain } from '@/parts/format'

/** The phrases with the position of each site; only the rows in sight are drawn. */
const props = defineProps<{ rows: FoundPhrase[]; sites: Found['sites'] }>()
const emit = defineEmits<{ take: [text: string] }>()

const notOfTown = 'Counted in a wider area than the town: in no sum'

/* Sites without a list have no column. */
const columns = computed(() => props.sites.map((s, i) => ({ ...s, at: i })).filter((s) => s.sums))

/** Enter takes a phrase that is not in the book. */
function press(key: string, row: FoundPhrase) {
  if (key !== 'Enter' || row.in_book) return false
  emit('take', row.text)
  return true
}
</script>

<template>
  <div class="found stacked grow ink-above" :style="{ '--sites': columns.length }">
    <div class="line head soft grid gap-3 lines-0 on-mid ink-below t-small">
      <span>phrase</span><span class="num">searches/mo</span
      ><span class="num" title="Visits a month that the best rival gets and the client does not: an estimate"
        >missed</span
      ><span v-for="s in columns" :key="s.site" class="num site of-two" :title="s.site">{{ s.name }}</span
      ><span></span>
    </div>
    <LongList
      v-slot="{ row }"
      class="phrases"
      :rows="rows"
      :key-of="(r) => r.text"
      :size-of="() => 32"
      label="Phrases"
      :press="press"
    >
      <div class="line full grid gap-3 lines-0 on-mid" :data-found="row.text">
        <span class="text one-line" :title="row.text">{{ row.text }}</span>
        <span class="num" :class="{ soft: !row.counts }" :title="row.counts ? '' : notOfTown">{{
          figure(row.volume)
        }}</span>
        <span class="num pencil">{{ row.missed > 0 ? gain(row.missed) : '' }}</span>
        <span
          v-for="s in columns"
          :key="s.site"
          class="num place soft"
          :class="{
            first: row.positions[s.at]! && row.positions[s.at]! <= 10,
            rival: s.role !== 'client',
          }"
          >{{ row.positions[s.at] || '·' }}</span
        >
        <span class="to-right">
          <span v-if="row.in_book" class="soft">in the book</span>
          <ActionButton v-else quiet @click="emit('take', row.text)">Add to book</ActionButton>
        </span>
      </div>
    </LongList>
    <p v-if="!rows.length" class="soft none pad-3 edge">No matches</p>
  </div>
</template>

<style scoped>
.found {
  min-height: var(--w20);
}
.line {
  grid-template-columns:
    minmax(var(--w26), 2fr) var(--w9) var(--w7) repeat(var(--sites), minmax(var(--w8), 1fr))
    var(--w11);
  padding: 0 var(--s3) 0 var(--edge);
}
.full {
  height: 100%;
}
.head {
  min-height: var(--w4);
  line-height: 1.25;
}
@media (max-width: 760px) {
  .found {
    overflow-x: auto;
  }
  .head,
  .phrases {
    min-width: var(--w80);
  }
}
.text {
  font-weight: 500;
}
.place.first {
  color: var(--ink);
  font-weight: 600;
}
.place.first.rival {
  color: var(--rival);
}
</style>
