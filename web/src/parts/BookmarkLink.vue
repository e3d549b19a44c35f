<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { bookmarkOptions } from '@/api/calls'

/** The bookmark to drag: pressed on any tab it hands that page over. */
const { data } = useQuery({ ...bookmarkOptions(), staleTime: Infinity })
const address = computed(() => data.value?.address.replaceAll('__ORIGIN__', location.origin))
</script>

<template>
  <a
    v-if="address"
    class="mark pad-0 sides-2 bare nowrap"
    :href="address"
    draggable="true"
    title="Drag it to the bookmarks bar. Pressed on a tab, it hands that page to this program and to nobody else."
    data-bookmark
    @click.prevent
    >To Ink Tally</a
  >
</template>

<style scoped>
.mark {
  border: var(--soft-dashes);
  border-radius: var(--corner);
  cursor: grab;
}
.mark:hover {
  border-color: var(--ink);
}
</style>
