<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { quickMutation } from '@/api/calls'
import FieldLine from '@/ui/FieldLine.vue'
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
  <form
    class="short grid pad-4 edge gap-5 lines-2 at-end ink-below washed"
    aria-label="Measure a page now"
    @submit.prevent="go"
  >
    <FieldLine
      v-model="line.address"
      label="Page to measure"
      name="address"
      placeholder="e.g. shop.example"
      required
    />
    <FieldLine
      v-model="line.phrase"
      label="Phrase"
      name="phrase"
      placeholder="e.g. chimney sweep tarn harbor"
      required
    />
    <FieldLine
      v-model="line.rivals"
      label="Rivals’ pages (optional)"
      name="rivals"
      placeholder="e.g. one.example, two.example"
    />
    <ActionButton main submit :disabled="quick.isPending.value">Measure</ActionButton>
    <NoticeLine :fault="quick.error.value" />
  </form>
</template>

<style scoped>
.short {
  grid-template-columns: 1fr 1fr 1.6fr auto;
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
