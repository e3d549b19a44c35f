<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBookChanges, useCandidates } from '@/api/book'
import { count } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** Candidates from services, places and patterns, shown before they are added. */
const props = defineProps<{ client: number }>()
const emit = defineEmits<{ done: [] }>()
const { data } = useCandidates(() => props.client)
const { add, undoImport } = useBookChanges(() => props.client)
const undo = useUndo()
const words = ref('')
const list = computed(() => {
  const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (data.value ?? []).filter((c) => asked.every((w) => c.includes(w)))
})

async function take() {
  const report = await add.mutateAsync(list.value).catch(() => null)
  if (!report) return
  undo.offer(`${count(report.added)} candidates added`, () => undoImport.mutateAsync(report.import_id))
  emit('done')
}
</script>

<template>
  <section class="candidates" aria-label="Candidates">
    <div class="acts">
      <input
        v-model="words"
        class="field"
        name="candidates"
        aria-label="Words of the candidates"
        placeholder="only those with these words"
      />
      <button class="press main" type="button" :disabled="!list.length || add.isPending.value" @click="take">
        Add {{ count(list.length) }}
      </button>
      <button class="link" type="button" @click="emit('done')">Leave it</button>
    </div>
    <p v-if="add.error.value" class="mistake" role="alert">{{ add.error.value.message }}</p>
    <p v-if="data && !data.length" class="soft">
      None that the book has not: name services and places on the business leaf.
    </p>
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
