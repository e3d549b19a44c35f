<script setup lang="ts">
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
  <aside v-if="list.length" class="proposal" aria-label="Proposed from the home page" data-proposal>
    <span class="soft">The home page says:</span>
    <span v-for="f in list" :key="f.field" class="part">
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
    <button class="press" type="button" :disabled="saveGround.isPending.value" @click="use(list)">
      {{ list.length === 1 ? 'Use it' : 'Use all' }}
    </button>
    <span v-if="saveGround.error.value" class="mistake" role="alert">{{
      saveGround.error.value.detail
    }}</span>
  </aside>
</template>

<style scoped>
.proposal {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  padding: 7px var(--edge);
  border-bottom: 1px solid var(--rule);
  background: var(--pencil-wash);
}
.part {
  display: flex;
  gap: 6px;
}
.part button {
  border-bottom: 1px dashed var(--pencil);
}
.press {
  padding: 3px 12px;
}
.mistake {
  margin: 0;
}
</style>
