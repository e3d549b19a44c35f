<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import TabRow from '@/ui/TabRow.vue'

/** What belongs to the targets: the list, the outline of a page, image names, a draft, the yardstick. */
const props = defineProps<{ client: number }>()
const route = useRoute()
const query = computed(() => (route.query.page ? { page: String(route.query.page) } : {}))
const leaves = computed(() =>
  [
    { key: 'targets', says: 'Targets' },
    { key: 'outline', says: 'Outline' },
    { key: 'draft', says: 'Draft' },
    { key: 'images', says: 'Images' },
    { key: 'yardstick', says: 'Yardstick' },
  ].map((l) => ({ ...l, to: { name: l.key, params: { client: props.client }, query: query.value } })),
)
</script>

<template>
  <TabRow :tabs="leaves" :at="String(route.name)" label="Targets" />
</template>
