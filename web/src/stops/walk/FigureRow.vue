<script setup lang="ts">
import type { Step } from '@/api/types'
import { computed } from 'vue'
import { useRouter, type RouteLocationRaw } from 'vue-router'
import { count, visits } from '@/parts/format'

/** The figures of a step; one that is pressed opens its proof. */
const props = defineProps<{ step: Step; client: number; page: number; money: string }>()
const router = useRouter()

type Figure = Step['figures'][number]
const figures = computed(() => props.step.figures)
function says(f: Figure): string {
  if (f.of === 'own_organic' || f.of === 'own_map') return f.value ? String(f.value) : '–'
  const part = f.of.endsWith('_visits') || f.of === 'customers'
  return (f.of.endsWith('_money') ? props.money : '') + (part ? visits(f.value) : count(f.value))
}
function proof(f: Figure): RouteLocationRaw {
  const client = { client: props.client }
  const sheet = (query: Record<string, string>) => ({
    name: 'sheet',
    params: { ...client, page: props.page },
    query: { column: String(f.column), ...query },
  })
  switch (f.proof) {
    case 'sheet':
      return sheet({ show: 'seen' })
    case 'phrase':
      return sheet({ show: 'phrase', phrase: props.step.phrase })
    case 'images':
      return sheet({ show: 'images' })
    case 'ladder':
      return { name: 'targets', params: client, query: { ladder: '1' } }
    default:
      return { name: f.proof, params: client }
  }
}
</script>

<template>
  <div v-if="figures.length" class="flow gap-8" data-figures>
    <button
      v-for="f in figures"
      :key="f.of"
      class="quiet to-left"
      type="button"
      title="Show what was counted"
      @click="router.push(proof(f))"
    >
      <span class="figure t-title as-block" :class="{ pencil: f.pencil }">{{ says(f) }}</span>
      <span class="soft">{{ f.says }}</span>
    </button>
  </div>
</template>
