<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { communitiesOptions } from '@/api/calls'
import { computed } from 'vue'
import { count } from '@/parts/format'
import type { PlaceRow } from './business'

/** The communities around the home town: a click makes one of them a place. */
const props = defineProps<{ client: number }>()
const rows = defineModel<PlaceRow[]>({ required: true })
const emit = defineEmits<{ added: [] }>()
const { data } = useQuery(() => communitiesOptions({ path: { client: props.client } }))

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
const left = computed(() =>
  (data.value?.communities ?? []).filter((c) => !rows.value.some((r) => same(r.name, c.name))),
)

function add(name: string) {
  const filled = rows.value.filter((r) => r.name.trim() || r.state.trim() || r.spellings.trim())
  rows.value = [...filled, { name, state: '', spellings: '' }, { name: '', state: '', spellings: '' }]
  emit('added')
}
</script>

<template>
  <section v-if="data?.home && left.length" class="around" aria-label="Communities around">
    <p class="soft">Within {{ data.km }} km of {{ data.home }}. Click the ones that are served:</p>
    <ul>
      <li v-for="c in left" :key="c.name + c.state">
        <button class="link" type="button" :title="`Add ${c.name} to the places`" @click="add(c.name)">
          + {{ c.name }}
        </button>
        <span class="soft"
          >{{ Math.round(c.km) }} km<template v-if="c.size">, {{ count(c.size) }} people</template></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.around {
  margin-top: 8px;
}
p {
  margin: 0 0 2px;
  font-size: 12.5px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  columns: 2;
  column-gap: 20px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  break-inside: avoid;
  padding: 2px 0;
}
li .soft {
  font-size: 12px;
  white-space: nowrap;
}
</style>
