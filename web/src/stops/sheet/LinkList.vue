<script setup lang="ts">
import type { PageFacts } from '@/api/types'
import { computed } from 'vue'
import { bare, plural } from '@/parts/format'

/** The links of a page by where they stand, each with its words and where it leads. */
const props = defineProps<{ links: PageFacts['links'] }>()

const names: Record<string, string> = {
  main: 'in the text',
  nav: 'in menus',
  banner: 'in the header',
  footer: 'in the footer',
  aside: 'in the sidebar',
  dialog: 'in dialogs',
}
const groups = computed(() =>
  Object.entries(names)
    .map(([region, name]) => ({ name, links: props.links.filter((l) => l.region === region) }))
    .filter((g) => g.links.length),
)
</script>

<template>
  <details v-for="g in groups" :key="g.name" data-links>
    <summary class="hand pad-1 sides-0">
      {{ plural(g.links.length, 'link') }} {{ g.name
      }}<span v-if="g.links.some((l) => l.away)" class="soft"
        >, {{ g.links.filter((l) => l.away).length }} to other sites</span
      >
    </summary>
    <ul class="line-left">
      <li v-for="(l, i) in g.links" :key="i" class="pad-0 sides-0 anywhere" :class="{ soft: l.hidden }">
        {{ l.text || 'no anchor text' }}<template v-if="l.hidden"> (hidden)</template>
        <span class="mono soft as-block">{{ bare(l.address) }}</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
ul {
  margin: 0 0 var(--s2);
  padding: 0 0 0 var(--s3);
}
</style>
