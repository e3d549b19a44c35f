<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { addPhrasesMutation, candidatesOptions, undoImportMutation } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { count, plural, words } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** Candidates from services, places and patterns, shown before they are added. */
const props = defineProps<{ client: number }>()
const emit = defineEmits<{ done: [] }>()
const { data } = useQuery(() => candidatesOptions({ path: { client: props.client } }))
const add = useMutation(addPhrasesMutation())
const undoImport = useMutation(undoImportMutation())
const undo = useUndo()
const typed = ref('')
const list = computed(() => {
  const asked = words(typed.value)
  return (data.value ?? []).filter((c) => asked.every((w) => c.includes(w)))
})

async function take() {
  const report = await add
    .mutateAsync({ path: { client: props.client }, body: { phrases: list.value } })
    .catch(() => null)
  if (!report) return
  undo.offer(`${plural(report.added, 'phrase')} added`, () =>
    undoImport.mutateAsync({ path: { client: props.client, import: report.import_id } }),
  )
  emit('done')
}
</script>

<template>
  <section class="candidates pad-2 edge ink-below washed" aria-label="Suggestions">
    <div class="acts readable nowrap flow gap-4 on-mid">
      <input
        v-model="typed"
        class="field"
        name="candidates"
        aria-label="Words in the suggestions"
        placeholder="with these words"
      />
      <ActionButton main :disabled="!list.length || add.isPending.value" @click="take">
        Add {{ count(list.length) }}
      </ActionButton>
      <ActionButton quiet @click="emit('done')">Cancel</ActionButton>
    </div>
    <NoticeLine :fault="add.error.value" />
    <p v-if="data && !data.length" class="soft">No more suggestions. Add services and places to get some.</p>
    <p class="soft words scrolls">
      {{ list.slice(0, 120).join(' · ') }}<template v-if="list.length > 120"> …</template>
    </p>
  </section>
</template>

<style scoped>
.words {
  margin: var(--s2) 0 0;
  max-height: var(--w13);
}
</style>
