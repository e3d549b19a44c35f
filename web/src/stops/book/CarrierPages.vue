<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { addPageMutation, removePageMutation } from '@/api/calls'
import type { CarrierPage } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { count } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** The pages that carry the book's families; those to be made in pencil. */
const props = defineProps<{
  client: number
  pages: CarrierPage[]
  pageName: (id: number) => string
  addressOf: (id: number) => string
}>()
const shown = defineModel<string>({ required: true })
const add = useMutation(addPageMutation())
const remove = useMutation(removePageMutation())
const undo = useUndo()

/** Puts a page that is to be made among the client's pages: it gets targets of its own. */
async function plan(p: CarrierPage) {
  const body =
    p.kind === 'area'
      ? { kind: 'area' as const, place: p.carrier }
      : { kind: 'service' as const, service: p.carrier }
  const page = await add.mutateAsync({ path: { client: props.client }, body }).catch(() => null)
  if (page)
    undo.offer(`${p.carrier} added to the pages`, () =>
      remove.mutateAsync({ path: { client: props.client, page: page.id } }),
    )
}
</script>

<template>
  <section v-if="pages.length">
    <h2 class="t-lead">Pages for these families</h2>
    <ul class="flush pad-0 sides-0">
      <li class="soft head grid gap-2 lines-0 on-base pad-1 sides-0 line-below t-small" aria-hidden="true">
        <span class="wide to-right">families</span><span class="num">gain</span>
      </li>
      <li
        v-for="p in pages"
        :key="p.kind + p.carrier + p.page_id"
        class="grid gap-2 lines-0 on-base pad-1 sides-0 line-below"
      >
        <button
          class="quiet"
          type="button"
          :class="{ pencil: !p.page_id, now: shown === p.carrier }"
          :aria-pressed="shown === p.carrier"
          @click="shown = shown === p.carrier ? '' : p.carrier"
        >
          {{ p.page_id ? pageName(p.page_id) : p.carrier }}
        </button>
        <span class="soft num">{{ count(p.families) }}</span>
        <span class="num figure">{{ p.gain >= 0.5 ? count(p.gain) : '–' }}</span>
        <ActionButton
          v-if="!p.page_id && p.kind !== 'home'"
          quiet
          :disabled="add.isPending.value"
          :aria-label="`Add page for ${p.carrier}`"
          @click="plan(p)"
        >
          Add page
        </ActionButton>
        <span
          v-else-if="p.conflict.length"
          class="stamp pad-0 sides-0"
          :title="[p.page_id, ...p.conflict].map(addressOf).join(', ')"
          >{{ p.conflict.length + 1 }} pages</span
        >
      </li>
    </ul>
    <NoticeLine :fault="add.error.value" />
  </section>
</template>

<style scoped>
li {
  grid-template-columns: minmax(0, 1fr) var(--w3) var(--w5) var(--w7);
}
.wide {
  grid-column: 1 / 3;
}
.now {
  font-weight: 600;
}
.link,
.stamp {
  font-size: var(--small);
  white-space: nowrap;
}
.stamp {
  transform: none;
}
</style>
