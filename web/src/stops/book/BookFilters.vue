<script setup lang="ts">
import type { Book } from '@/api/types'
import { computed } from 'vue'
import { count } from '@/parts/format'
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { named } from '@/ui/choices'
import TabRow from '@/ui/TabRow.vue'
import { countIn, parts, type Filter } from './filter'

/** What of the book is shown: its parts, and within them services, places and pages. */
const props = defineProps<{ book: Book }>()
const filter = defineModel<Filter>({ required: true })

const tabs = computed(() =>
  parts.map((p) => ({ key: p.part, says: p.says, count: count(countIn(props.book.families, p.part)) })),
)
const choices = (all: string, names: string[]) => [{ value: '', says: all }, ...named(names)]
const distinct = (of: 'service' | 'place' | 'carrier') =>
  computed(() => [...new Set(props.book.families.map((f) => f[of]).filter(Boolean))])
const services = distinct('service')
const places = distinct('place')
const pages = distinct('carrier')
</script>

<template>
  <div class="filters flow wrap gap-2 lines-2 on-mid pad-2 edge t-small">
    <TabRow :tabs="tabs" :at="filter.part" label="Parts of the book" @choose="filter.part = $event" />
    <label><input v-model="filter.near" type="checkbox" /> almost on page 1</label>
    <ChoiceBox v-model="filter.service" label="Service" :options="choices('all services', services)" />
    <ChoiceBox v-model="filter.place" label="Place" :options="choices('all places', places)" />
    <ChoiceBox v-model="filter.page" label="Page" :options="choices('all pages', pages)" />
    <input
      v-model="filter.words"
      class="field pad-0 sides-0"
      name="words"
      aria-label="Words"
      placeholder="with these words"
    />
    <slot />
  </div>
</template>

<style scoped>
.field {
  width: var(--w13);
}
select {
  max-width: var(--w11);
}
</style>
