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
    <h2 class="t-lead">What is wanted here</h2>
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
        <span class="words flow on-mid gap-2">
          <TallyStrokes :words="s.holds" :write="s.words" :height="14" :most="3" />
          <span class="num">{{ s.words ? count(s.words) : 'stays' }}</span>
        </span>
        <ul v-if="s.families.length || s.kind === 'questions'" class="soft pl-3 t-small">
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
ol > li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 var(--s3);
  padding: var(--s1) 0;
  border-bottom: var(--line);
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
ul {
  grid-column: 1;
}
</style>
