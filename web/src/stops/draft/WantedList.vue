<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { outlineOptions } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { count, plural } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** What the page should have, before a word of its draft is typed: its sections, their words, and what goes into them. */
const props = defineProps<{ client: number; page: string }>()
const { data: outline, error } = useQuery(() => ({
  ...outlineOptions({ path: { client: props.client }, query: { page: props.page } }),
  enabled: props.page !== '',
}))
const sections = computed(() => (outline.value?.sections ?? []).filter((s) => !s.dropped))
</script>

<template>
  <NoticeLine v-if="error" :fault="error" />
  <section v-else-if="outline" data-wanted>
    <h2>What is wanted here</h2>
    <p class="soft">
      <template v-if="outline.words.to_write"
        >{{ plural(outline.words.to_write, 'word') }} to write; {{ count(outline.words.writer) }} of copy in
        all.
      </template>
      <template v-else>The page has enough words. </template>
      <template v-if="outline.first">Title and H1 say “{{ outline.first }}”. </template>Begin with “# ” for
      the H1 and “## ” for subheads; what is missing is told as you write.
    </p>
    <ol>
      <li v-for="s in sections" :key="s.key">
        <span :class="s.there ? 'ink' : 'penciled'">{{ s.heading }}</span>
        <span class="words">
          <TallyStrokes :words="s.holds" :write="s.words" :height="14" :most="3" />
          <span class="num">{{ s.words ? count(s.words) : 'stays' }}</span>
        </span>
        <ul v-if="s.families.length || s.kind === 'questions'" class="soft">
          <li v-for="f in s.families" :key="f.key">{{ f.phrase }}</li>
          <template v-if="s.kind === 'questions'">
            <li v-for="q in outline.questions" :key="q">{{ q }}?</li>
          </template>
        </ul>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  font-size: 16px;
  margin: 8px 0 2px;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
ol > li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.ink {
  font-weight: 600;
}
.penciled {
  justify-self: start;
}
ul > li::first-letter {
  text-transform: uppercase;
}
.words {
  display: flex;
  align-items: center;
  gap: 8px;
}
ul {
  grid-column: 1;
  padding-left: 14px;
  font-size: 12.5px;
}
</style>
