<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { quickMutation } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { reactive } from 'vue'
import { useRouter } from 'vue-router'
import { stopLocation } from '@/parts/stops'

/** The short way in: one line goes straight to the sheet. */
const router = useRouter()
const quick = useMutation(quickMutation())
const line = reactive({ address: '', phrase: '', rivals: '' })

async function go() {
  const ground = await quick.mutateAsync({ body: { ...line } }).catch(() => null)
  const page = ground?.pages[0]
  if (ground && page) await router.push(stopLocation('sheet', ground.id, page.id))
}
</script>

<template>
  <form class="short" aria-label="Measure a page now" @submit.prevent="go">
    <label
      >Page to measure
      <input v-model="line.address" class="field" name="address" placeholder="e.g. shop.example" required />
    </label>
    <label
      >Phrase
      <input
        v-model="line.phrase"
        class="field"
        name="phrase"
        placeholder="e.g. chimney sweep tarn harbor"
        required
      />
    </label>
    <label class="wide"
      >Rivals’ pages (optional)
      <input v-model="line.rivals" class="field" name="rivals" placeholder="e.g. one.example, two.example" />
    </label>
    <button class="press main" type="submit" :disabled="quick.isPending.value">Measure</button>
    <NoticeLine :fault="quick.error.value" />
  </form>
</template>

<style scoped>
.short {
  display: grid;
  grid-template-columns: 1fr 1fr 1.6fr auto;
  gap: 6px 22px;
  align-items: end;
  padding: 18px var(--edge) 20px;
  border-bottom: 1px solid var(--ink);
  background: var(--pencil-wash);
}
label {
  color: var(--ink-soft);
}
.field {
  display: block;
  color: var(--ink);
  font-size: 15px;
}
.mistake {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .short {
    grid-template-columns: 1fr;
  }
}
</style>
