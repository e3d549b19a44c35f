<script setup lang="ts">
import type { Book } from '@/api/types'
import { computed } from 'vue'
import { count } from '@/parts/format'
import { countIn, parts, type Filter } from './filter'

/** What of the book is shown: its parts, and within them services, places and pages. */
const props = defineProps<{ book: Book }>()
const filter = defineModel<Filter>({ required: true })

const distinct = (of: 'service' | 'place' | 'carrier') =>
  computed(() => [...new Set(props.book.families.map((f) => f[of]).filter(Boolean))])
const services = distinct('service')
const places = distinct('place')
const pages = distinct('carrier')
</script>

<template>
  <div class="filters">
    <div class="parts" role="group" aria-label="Parts of the book">
      <button
        v-for="p in parts"
        :key="p.part"
        class="quiet part"
        :class="{ now: filter.part === p.part }"
        type="button"
        :aria-pressed="filter.part === p.part"
        @click="filter.part = p.part"
      >
        {{ p.says }} <span class="soft">{{ count(countIn(book.families, p.part)) }}</span>
      </button>
    </div>
    <label><input v-model="filter.near" type="checkbox" /> almost on page 1</label>
    <select v-model="filter.service" aria-label="Service">
      <option value="">all services</option>
      <option v-for="s in services" :key="s">{{ s }}</option>
    </select>
    <select v-model="filter.place" aria-label="Place">
      <option value="">all places</option>
      <option v-for="p in places" :key="p">{{ p }}</option>
    </select>
    <select v-model="filter.page" aria-label="Page">
      <option value="">all pages</option>
      <option v-for="p in pages" :key="p">{{ p }}</option>
    </select>
    <input
      v-model="filter.words"
      class="field"
      name="words"
      aria-label="Words"
      placeholder="with these words"
    />
    <slot />
  </div>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  padding: 8px var(--edge);
  font-size: 12.5px;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
.part.now {
  font-weight: 600;
  border-bottom: 2px solid var(--ink);
}
.field {
  width: 104px;
  padding: 2px;
}
select {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--ink-soft);
  max-width: 88px;
}
</style>
