<script setup lang="ts">
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
  <section class="candidates" aria-label="Suggestions">
    <div class="acts">
      <input
        v-model="typed"
        class="field"
        name="candidates"
        aria-label="Words in the suggestions"
        placeholder="with these words"
      />
      <button class="press main" type="button" :disabled="!list.length || add.isPending.value" @click="take">
        Add {{ count(list.length) }}
      </button>
      <button class="link" type="button" @click="emit('done')">Cancel</button>
    </div>
    <NoticeLine :fault="add.error.value" />
    <p v-if="data && !data.length" class="soft">No more suggestions. Add services and places to get some.</p>
    <p class="soft words">
      {{ list.slice(0, 120).join(' · ') }}<template v-if="list.length > 120"> …</template>
    </p>
  </section>
</template>

<style scoped>
.candidates {
  padding: 10px var(--edge) 12px;
  border-bottom: 1px solid var(--ink);
  background: var(--pencil-wash);
}
.acts {
  display: flex;
  gap: 18px;
  align-items: center;
  max-width: 620px;
}
.acts .link {
  white-space: nowrap;
}
.words {
  margin: 8px 0 0;
  max-height: 104px;
  overflow: auto;
}
</style>
