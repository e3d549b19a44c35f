<script setup lang="ts">
import type { Site } from '@/api/client'
import { bare } from '@/parts/format'

/** The pages that the survey knows of and could not read, each with the way out. */
defineProps<{ missed: Site['missed'] }>()
const emit = defineEmits<{ add: [url: string] }>()
</script>

<template>
  <section data-missed>
    <h2>Not read</h2>
    <ul class="lines">
      <li v-for="m in missed" :key="m.url">
        <span>
          <a class="mono" :href="m.url" target="_blank" rel="noreferrer" :title="m.url">{{ bare(m.url) }}</a>
          <span class="soft">{{ m.says }}</span>
        </span>
        <button
          class="link"
          type="button"
          title="Make it one of the client's pages: then it can be read again, as rendered, or pasted"
          @click="emit('add', m.url)"
        >
          Add
        </button>
      </li>
    </ul>
  </section>
</template>
