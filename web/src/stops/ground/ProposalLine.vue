<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { proposalOptions, saveGroundMutation } from '@/api/calls'
import type { Business, Ground } from '@/api/types'
import { computed } from 'vue'
import { useUndo } from '@/parts/undo'
import { proposed, toBusiness, toForm, withProposed } from './business'

/** What the home page says of the business and nobody has entered yet: one click enters it. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data } = useQuery(() => proposalOptions({ path: { client: props.client } }))
const saveGround = useMutation(saveGroundMutation())
const undo = useUndo()
const list = computed(() => (data.value ? proposed(data.value) : []))

async function use(fields: typeof list.value) {
  const before: Business = toBusiness(toForm(props.ground))
  const now = fields.reduce((b, f) => withProposed(b, f.field, f.says), before)
  const ok = await saveGround
    .mutateAsync({ path: { client: props.client }, body: { ...now, was: before } })
    .catch(() => null)
  if (ok)
    undo.offer(`Saved: ${fields.map((f) => f.says).join(', ')}`, () =>
      saveGround.mutateAsync({ path: { client: props.client }, body: { ...before, was: now } }),
    )
}
</script>

<template>
  <aside
    v-if="list.length"
    class="proposal flow wrap on-mid gap-4 lines-1 pad-2 edge line-below washed"
    aria-label="Proposed from the home page"
    data-proposal
  >
    <span class="soft">The home page says:</span>
    <span v-for="f in list" :key="f.field" class="part flow gap-2">
      <span class="soft">{{ f.name }}</span>
      <button
        class="quiet penciled"
        type="button"
        :title="`Use as ${f.name.toLowerCase()}`"
        @click="use([f])"
      >
        {{ f.says }}
      </button>
    </span>
    <ActionButton class="pad-1 sides-3" :disabled="saveGround.isPending.value" @click="use(list)">
      {{ list.length === 1 ? 'Use it' : 'Use all' }}
    </ActionButton>
    <span v-if="saveGround.error.value" class="mistake flush" role="alert">{{
      saveGround.error.value.detail
    }}</span>
  </aside>
</template>

<style scoped>
.part button {
  border-bottom: var(--pencil-line);
}
</style>
