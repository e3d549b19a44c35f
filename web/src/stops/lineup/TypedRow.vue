<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { named } from '@/ui/choices'
import ActionButton from '@/ui/ActionButton.vue'
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
  <form class="typed flow wrap gap-3 lines-2 at-end pad-2 edge line-below" data-typed @submit.prevent="put">
    <ChoiceBox v-model="part" label="Part" :options="named(['map', 'organic', 'paid'] as const)" />
    <input
      v-model="row.position"
      class="field num pad-1 sides-0"
      name="typed_position"
      aria-label="Position"
      :placeholder="String(next)"
    />
    <input
      ref="first"
      v-model="row.name"
      class="field wide pad-1 sides-0"
      name="typed_name"
      aria-label="Name"
      placeholder="name"
    />
    <input
      v-model="row.url"
      class="field mono wide pad-1 sides-0"
      name="typed_url"
      aria-label="Address"
      placeholder="address"
    />
    <input
      v-model="row.rating"
      class="field num pad-1 sides-0"
      name="typed_rating"
      aria-label="Rating"
      placeholder="e.g. 4.7"
    />
    <input
      v-model="row.reviews"
      class="field num pad-1 sides-0"
      name="typed_reviews"
      aria-label="Reviews"
      placeholder="reviews"
    />
    <input
      v-model="row.phone"
      class="field pad-1 sides-0"
      name="typed_phone"
      aria-label="Phone"
      placeholder="phone"
    />
    <input
      v-model="row.years"
      class="field num pad-1 sides-0"
      name="typed_years"
      aria-label="Years in trade"
      placeholder="years"
    />
    <ActionButton
      submit
      class="pad-1 sides-3"
      :disabled="(!row.name.trim() && !row.url.trim()) || add.isPending.value"
    >
      Add row
    </ActionButton>
    <NoticeLine :fault="add.error.value" />
  </form>
</template>

<style scoped>
.field {
  width: var(--w12);
}
.field:focus {
  padding-bottom: var(--s1);
}
.num {
  width: var(--w8);
}
.wide {
  width: var(--w24);
}
select {
  padding: var(--s1) 0;
}
</style>
