<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { addEntryMutation } from '@/api/calls'
import type { EntryDraft, Lineup } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, reactive, ref } from 'vue'

/** A result typed row by row: the next row follows the one before it. */
const props = defineProps<{ client: number; lineup?: Lineup; phrase: string }>()
const emit = defineEmits<{ added: [lineup: Lineup] }>()
const add = useMutation(addEntryMutation())
const part = ref<EntryDraft['part']>('organic')
const empty = { position: '', name: '', rating: '', reviews: '', phone: '', years: '', url: '' }
const row = reactive({ ...empty })
const first = ref<HTMLInputElement>()

const next = computed(() => {
  const list = props.lineup?.entries.filter((e) => e.part === part.value && !e.sponsored) ?? []
  return Math.max(0, ...list.map((e) => e.position)) + 1
})
const number = (s: string) => (s.trim() ? Number(s.replace(',', '.')) : undefined)

async function put() {
  const ok = await add
    .mutateAsync({
      path: { client: props.client },
      body: {
        lineup: props.lineup?.id ?? 0,
        phrase: props.phrase,
        part: part.value,
        position: number(row.position) ?? next.value,
        name: row.name,
        url: row.url,
        phone: row.phone,
        rating: number(row.rating) ?? null,
        reviews: number(row.reviews) ?? null,
        years: number(row.years) ?? 0,
      },
    })
    .catch(() => null)
  if (!ok) return
  Object.assign(row, empty)
  emit('added', ok)
  first.value?.focus()
}
</script>

<template>
  <form class="typed" data-typed @submit.prevent="put">
    <select v-model="part" aria-label="Part">
      <option value="map">map</option>
      <option value="organic">organic</option>
      <option value="paid">paid</option>
    </select>
    <input
      v-model="row.position"
      class="field num"
      name="typed_position"
      aria-label="Position"
      :placeholder="String(next)"
    />
    <input
      ref="first"
      v-model="row.name"
      class="field wide"
      name="typed_name"
      aria-label="Name"
      placeholder="name"
    />
    <input
      v-model="row.url"
      class="field mono wide"
      name="typed_url"
      aria-label="Address"
      placeholder="address"
    />
    <input
      v-model="row.rating"
      class="field num"
      name="typed_rating"
      aria-label="Rating"
      placeholder="e.g. 4.7"
    />
    <input
      v-model="row.reviews"
      class="field num"
      name="typed_reviews"
      aria-label="Reviews"
      placeholder="reviews"
    />
    <input v-model="row.phone" class="field" name="typed_phone" aria-label="Phone" placeholder="phone" />
    <input
      v-model="row.years"
      class="field num"
      name="typed_years"
      aria-label="Years in trade"
      placeholder="years"
    />
    <button
      class="press"
      type="submit"
      :disabled="(!row.name.trim() && !row.url.trim()) || add.isPending.value"
    >
      Add row
    </button>
    <NoticeLine :fault="add.error.value" />
  </form>
</template>

<style scoped>
.typed {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
  padding: 8px var(--edge);
  border-bottom: 1px solid var(--rule);
}
.field {
  width: 92px;
  padding: 4px 2px;
}
.field:focus {
  padding-bottom: 3px;
}
.num {
  width: 62px;
}
.wide {
  width: 196px;
}
select {
  font: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--ink-soft);
  padding: 5px 0;
}
.press {
  padding: 4px 12px;
}
.mistake {
  margin: 0;
}
</style>
