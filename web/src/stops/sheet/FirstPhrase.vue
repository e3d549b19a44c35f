<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { setFirstMutation } from '@/api/calls'
import type { Sheet } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import { useUndo } from '@/parts/undo'

/** Which phrase the page is for: its title and H1 say it. Any other that it carries can take its place. */
const props = defineProps<{ sheet: Sheet; client: number; page: number; phrase: string }>()

const setFirst = useMutation(setFirstMutation())
const undo = useUndo()
const first = computed(() => props.sheet.families[0])
const family = computed(() => props.sheet.families.find((f) => f.lead === props.phrase))

async function make() {
  const [was, now] = [first.value!, family.value!]
  await setFirst.mutateAsync({ path: { client: props.client, page: props.page }, body: { family: now.key } })
  undo.offer(`First phrase: ${now.lead}`, () =>
    setFirst.mutateAsync({ path: { client: props.client, page: props.page }, body: { family: was.key } }),
  )
}
</script>

<template>
  <p v-if="family && family.key !== first?.key && !family.near" class="soft mt-2" data-first>
    This page’s title and H1 are for “{{ first?.lead }}”.
    <ActionButton quiet @click="make">Make “{{ family.lead }}” the first phrase</ActionButton>
    <NoticeLine :fault="setFirst.error.value" />
  </p>
</template>
