<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
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
  <section v-if="data?.home && left.length" class="around mt-2" aria-label="Communities around">
    <p class="soft t-small">Within {{ data.km }} km of {{ data.home }}. Click the ones that are served:</p>
    <ul class="flush pad-0 sides-0">
      <li v-for="c in left" :key="c.name + c.state" class="flow apart gap-2 pad-0 sides-0">
        <ActionButton quiet :title="`Add ${c.name} to the places`" @click="add(c.name)">
          + {{ c.name }}
        </ActionButton>
        <span class="soft"
          >{{ Math.round(c.km) }} km<template v-if="c.size">, {{ count(c.size) }} people</template></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 var(--s0);
}
ul {
  columns: 2;
  column-gap: var(--s5);
}
li {
  break-inside: avoid;
}
li .soft {
  font-size: var(--small);
}
</style>
