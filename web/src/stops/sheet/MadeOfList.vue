<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { addPhrasesMutation, madeOfOptions, undoImportMutation } from '@/api/calls'
import type { Column } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { count, plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import type { Margin } from './margin'

/** What a page's copy is made of, and what its rivals have in common; each opens the places where it is. */
const props = defineProps<{ column: Column; client: number; page: number; margin: Margin }>()
const { data, error } = useQuery(() =>
  madeOfOptions({
    path: { client: props.client, page: props.page },
    query: { entry: props.column.entry_id },
  }),
)
const add = useMutation(addPhrasesMutation())
const undoImport = useMutation(undoImportMutation())
const undo = useUndo()
const groups = computed(() => {
  const shared = data.value?.shared ?? []
  const missing = shared.filter((s) => s.missing)
  return [
    {
      name: 'Rivals share these services and places, the client has none',
      list: missing.filter((s) => s.named),
    },
    { name: 'Rivals share these words, the client has none', list: missing.filter((s) => !s.named) },
    { name: 'Rivals and the client share these', list: shared.filter((s) => !s.missing) },
  ]
})

const show = (text: string) => props.margin.open('phrase', props.margin.column.value, text)

async function toBook(text: string) {
  const report = await add
    .mutateAsync({ path: { client: props.client }, body: { phrases: [text] } })
    .catch(() => null)
  if (report?.import_id)
    undo.offer(`“${text}” added to the book`, () =>
      undoImport.mutateAsync({ path: { client: props.client, import: report.import_id } }),
    )
}
</script>

<template>
  <NoticeLine :fault="error" />
  <div v-if="data" data-document>
    <p v-if="data.counted" class="soft">
      Only the first {{ count(data.counted) }} words of this page are counted here.
    </p>
    <section v-for="g in groups" :key="g.name">
      <template v-if="g.list.length">
        <h3 class="t-text ink-below">{{ g.name }}</h3>
        <div
          v-for="s in g.list.slice(0, 40)"
          :key="s.text"
          class="line grid gap-3 pad-1 sides-0 line-below"
          data-shared
        >
          <button
            class="quiet text anywhere"
            :class="{ penciled: s.missing }"
            type="button"
            @click="show(s.text)"
          >
            {{ s.text }}
          </button>
          <span class="soft"
            >{{ plural(s.rivals, 'rival') }} · {{ s.median.toFixed(1) }} per 1,000 words</span
          >
          <ActionButton quiet @click="toBook(s.text)">Add to book</ActionButton>
        </div>
      </template>
    </section>
    <section>
      <h3 class="t-text ink-below">This page repeats</h3>
      <p v-if="!data.sequences.length" class="soft">No words repeat.</p>
      <div
        v-for="s in data.sequences"
        :key="s.text"
        class="line grid gap-3 pad-1 sides-0 line-below"
        data-sequence
      >
        <button class="quiet text anywhere" type="button" @click="show(s.text)">{{ s.text }}</button>
        <span class="soft">{{ plural(s.count, 'time') }} · {{ s.rate.toFixed(1) }} per 1,000 words</span>
        <ActionButton quiet @click="toBook(s.text)">Add to book</ActionButton>
      </div>
    </section>
  </div>
</template>

<style scoped>
section:first-child h3 {
  margin-top: 0;
}
.line {
  grid-template-columns: 1fr auto auto;
}
.text {
  justify-self: start;
}
.text:hover {
  text-decoration: underline;
}
</style>
