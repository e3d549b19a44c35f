<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { listsOptions, saveListsMutation } from '@/api/calls'
import type { Lists } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { lines } from '@/parts/format'
import { useTyped } from '@/parts/typed'
import { useUndo } from '@/parts/undo'

/** The lists of words by which intents are judged, to be edited: an entry a line. */
const props = defineProps<{ client: number }>()
const emit = defineEmits<{ done: [] }>()
const { data, error } = useQuery(() => listsOptions({ path: { client: props.client } }))
const saveLists = useMutation(saveListsMutation())
const undo = useUndo()

const kinds: { name: keyof Lists; says: string; tells: string }[] = [
  { name: 'hire', says: 'Ready to hire', tells: 'with a service: worth writing for' },
  { name: 'near', says: 'Near me', tells: 'counts like a place' },
  { name: 'question', says: 'Question words', tells: 'only at the start' },
  { name: 'research', says: 'Research', tells: 'kept as questions' },
  { name: 'trouble', says: 'Problems', tells: 'questions, unless a job is named' },
  { name: 'doers', says: 'Who does the work', tells: 'company, engineer, service' },
  { name: 'acts', says: 'Jobs', tells: 'one per line, its words with commas' },
  { name: 'goods', says: 'Products, jobs wanted, permits', tells: 'not offered' },
  { name: 'elsewhere', says: 'Places not served', tells: 'dismissed' },
  { name: 'generic', says: 'Words that say little', tells: 'residential, steel, annual' },
  { name: 'endings', says: 'Business name endings', tells: 'inc, & sons' },
  { name: 'ordinary', says: 'In business names', tells: 'no brand words' },
  { name: 'small', says: 'Small words', tells: 'ignored when grouping' },
]

type Texts = Record<keyof Lists, string>
const textsOf = (l: Lists) =>
  Object.fromEntries(kinds.map((k) => [k.name, (l[k.name] ?? []).join('\n')])) as Texts
const listsOf = (t: Texts) =>
  Object.fromEntries(kinds.map((k) => [k.name, lines(t[k.name])])) as unknown as Lists
const typed = useTyped<Texts>(() => data.value && textsOf(data.value))
const texts = typed.form

const changed = computed(
  () => texts.value && JSON.stringify(listsOf(texts.value)) !== JSON.stringify(listsOf(typed.was()!)),
)

/* Words that were added or taken away elsewhere meanwhile stay so. */
async function save(to: Lists | null) {
  const sent = { ...texts.value! }
  const was = listsOf(typed.was()!)
  const standard = data.value?.standard
  const now = await saveLists
    .mutateAsync({ path: { client: props.client }, body: { lists: to ?? undefined, was } })
    .catch(() => null)
  if (!now) return
  const came = textsOf(now)
  typed.saved(to ? sent : came, came)
  if (!to) texts.value = came
  undo.offer('Lists saved', () =>
    saveLists.mutateAsync({
      path: { client: props.client },
      body: { lists: standard ? undefined : was, was: listsOf(textsOf(now)) },
    }),
  )
}
</script>

<template>
  <section class="panel ink-below banded scroll-y" aria-label="Word lists">
    <NoticeLine :fault="error" />
    <div class="flow gap-4 on-mid mb-2">
      <ActionButton main :disabled="!changed || saveLists.isPending.value" @click="save(listsOf(texts!))">
        Save lists
      </ActionButton>
      <ActionButton v-if="data && !data.standard" quiet @click="save(null)"> Restore defaults </ActionButton>
      <ActionButton quiet @click="emit('done')">Close</ActionButton>
      <span class="soft">One entry per line; an entry can have several words.</span>
      <NoticeLine :fault="saveLists.error.value" />
    </div>
    <div v-if="texts" class="lists grid gap-6 lines-2">
      <label v-for="k in kinds" :key="k.name">
        <b>{{ k.says }}</b> <span class="soft">{{ k.tells }}</span>
        <textarea v-model="texts[k.name]" class="field" :name="`list_${k.name}`" rows="7"></textarea>
      </label>
    </div>
  </section>
</template>

<style scoped>
.panel {
  padding: var(--s2) var(--edge) var(--s3);
  max-height: 50vh;
}
.lists {
  grid-template-columns: repeat(auto-fill, minmax(var(--w26), 1fr));
}
label .soft {
  display: block;
  font-size: var(--small);
}
</style>
