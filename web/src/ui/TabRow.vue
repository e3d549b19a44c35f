<script setup lang="ts" generic="K extends string | number">
import { RouterLink, type RouteLocationRaw } from 'vue-router'

/** One of several views of the same: where it leads, or else what is chosen by it. */
export interface Tab<K> {
  key: K
  says: string
  to?: RouteLocationRaw
  /** How much there is of it. */
  count?: string
  hint?: string
}

/** The views that a place has, or the ways to show what stands there; arrows go from one to the next. */
defineProps<{ tabs: Tab<K>[]; at: K | undefined; label: string }>()
const emit = defineEmits<{ choose: [key: K] }>()

function step(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  const at = event.target as HTMLElement
  const list = [...(at.parentElement?.children ?? [])] as HTMLElement[]
  if (!by || !list.includes(at)) return
  list[(list.indexOf(at) + by + list.length) % list.length]?.focus()
  event.preventDefault()
}
</script>

<template>
  <component
    :is="tabs[0]?.to ? 'nav' : 'div'"
    class="tabs"
    :role="tabs[0]?.to ? undefined : 'group'"
    :aria-label="label"
    @keydown="step"
  >
    <template v-for="t in tabs" :key="t.key">
      <RouterLink
        v-if="t.to"
        :to="t.to"
        :class="{ here: t.key === at }"
        :aria-current="t.key === at ? 'page' : undefined"
        >{{ t.says }}</RouterLink
      >
      <button
        v-else
        class="quiet"
        type="button"
        :class="{ here: t.key === at }"
        :aria-pressed="t.key === at"
        :title="t.hint"
        @click="emit('choose', t.key)"
      >
        {{ t.says
        }}<template v-if="t.count"
          >{{ ' ' }}<span class="soft">{{ t.count }}</span></template
        >
      </button>
    </template>
  </component>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--s3);
}
.tabs > * {
  padding: var(--s0) 0;
  min-height: var(--s6);
  color: var(--ink-soft);
  text-decoration: none;
  white-space: nowrap;
  border-bottom: var(--thick) solid transparent;
}
.tabs > .here {
  color: var(--ink);
  font-weight: 600;
  border-bottom-color: var(--ink);
}
</style>
