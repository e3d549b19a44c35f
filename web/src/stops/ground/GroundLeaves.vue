<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import TabRow from '@/ui/TabRow.vue'

/** The leaves of the ground. */
const props = defineProps<{ client: number }>()
const route = useRoute()
const leaves = computed(() =>
  [
    { key: 'ground', says: 'Business' },
    { key: 'site', says: 'Pages' },
    { key: 'book', says: 'Phrase book' },
    { key: 'found', says: 'Found for' },
    { key: 'standing', says: 'Standing' },
  ].map((l) => ({ ...l, to: { name: l.key, params: { client: props.client } } })),
)
</script>

<template>
  <TabRow :tabs="leaves" :at="String(route.name)" label="Ground" />
</template>
