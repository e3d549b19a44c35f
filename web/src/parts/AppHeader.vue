<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { namesOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import MenuBox from '@/ui/MenuBox.vue'
import RunState from './RunState.vue'
import { stopLocation, stops, type StopName } from './stops'

const props = defineProps<{
  ground?: Ground
  page?: number
  /** The stop that is shown. */
  stop?: StopName
  /** Which stops have something to show. */
  inked?: Record<StopName, boolean>
}>()
defineEmits<{ help: []; find: [] }>()

const { data: names } = useQuery(namesOptions())
const clients = computed(() => [
  ...(names.value ?? []).map((c) => ({
    key: c.id,
    says: c.name,
    to: stopLocation(props.stop ?? 'ground', c.id, c.page_id),
  })),
  { key: 'new', says: 'New client', to: '/new' },
])
const place = computed(() => {
  const home = props.ground?.places.find((p) => p.home)
  return home ? [home.name, home.state].filter(Boolean).join(', ') : props.ground?.trade
})
</script>

<template>
  <header class="bar no-print flow on-mid gap-3 pad-0 edge papered thick-below">
    <RouterLink class="mark flow on-mid gap-2 bare t-title" to="/" aria-label="Ink Tally: all clients">
      <svg viewBox="0 0 32 26" width="28" height="23" aria-hidden="true">
        <path d="M6 3v20M12 3v20M18 3v20M24 3v20" />
        <path class="cross" d="M2 19 29 7" />
      </svg>
      <span class="slab">Ink Tally</span>
    </RouterLink>
    <template v-if="ground">
      <MenuBox v-slot="{ opens }" label="Clients" :items="clients">
        <button
          v-bind="opens"
          class="client quiet stacked"
          type="button"
          :title="[ground.name, place].filter(Boolean).join('\n')"
        >
          <span class="slab t-lead one-line full">{{ ground.name }}</span>
          <span class="soft one-line full">{{ place || 'no place yet' }}</span>
        </button>
      </MenuBox>
      <nav class="route flow" aria-label="The five stops">
        <RouterLink
          v-for="(s, i) in stops"
          :key="s.name"
          :to="stopLocation(s.name, ground.id, page ?? 0)"
          class="flow on-mid bare bold nowrap"
          :class="{ here: s.name === stop }"
          :aria-current="s.name === stop ? 'step' : undefined"
        >
          <svg
            viewBox="0 0 10 18"
            width="10"
            height="18"
            aria-hidden="true"
            :class="{ inked: inked?.[s.name] }"
          >
            <path :d="i < 4 ? 'M5 1v16' : 'M1 16 9 2'" />
          </svg>
          {{ s.label }}
        </RouterLink>
      </nav>
      <RunState :client="ground.id" />
    </template>
    <span v-else class="gap grow"></span>
    <button class="find quiet nowrap soft" type="button" @click="$emit('find')">
      Find <span class="kbd">Ctrl K</span>
    </button>
    <button
      class="kbd quiet help pad-0 sides-2"
      type="button"
      aria-label="Keyboard shortcuts and signs"
      @click="$emit('help')"
    >
      ?
    </button>
    <slot />
  </header>
</template>

<style scoped>
.bar {
  position: sticky;
  top: 0;
  z-index: 20;
  height: var(--header);
}
.mark {
  padding-right: var(--s4);
  border-right: var(--line);
  height: var(--w5);
}
.mark path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.9;
}
.mark .cross {
  stroke: var(--pencil);
}
.client {
  line-height: 1.25;
  width: var(--w35);
  flex: 0 1 auto;
  min-width: var(--w15);
}
.route {
  height: 100%;
  margin: 0 auto;
}
.route a {
  gap: var(--s2);
  padding: 0 var(--s3);
  border-bottom: var(--s1) solid transparent;
  border-top: var(--s1) solid transparent;
}
.route a.here {
  border-bottom-color: var(--ink);
}
.route a:not(.here) {
  color: var(--ink-soft);
}
.route a:hover {
  color: var(--ink);
}
.route path {
  fill: none;
  stroke: var(--pencil);
  stroke-width: 1.8;
  stroke-dasharray: 3 2;
}
.route .inked path {
  stroke: var(--ink);
  stroke-dasharray: none;
  stroke-width: 2.4;
}
.help {
  border: var(--line);
}
@media (max-width: 1100px) {
  .route a {
    padding: 0 var(--s2);
  }
  .find {
    display: none;
  }
  .client {
    width: var(--w22);
  }
}
@media (max-width: 760px) {
  .bar {
    height: auto;
    flex-wrap: wrap;
    position: static;
    padding: var(--s2) var(--s3) 0;
    row-gap: var(--s0);
  }
  .route {
    order: 5;
    width: 100%;
    height: var(--w5);
    margin: 0;
    overflow-x: auto;
    justify-content: space-between;
  }
  .route a {
    padding: 0 var(--s1);
    gap: var(--s1);
  }
  .client {
    width: auto;
    max-width: var(--w19);
  }
  .help {
    margin-left: auto;
  }
}
/* Borders without a color get one where colors are forced: only the stop at hand has its line. */
@media (forced-colors: active) {
  .route a:not(.here) {
    border-color: Canvas;
  }
}
</style>
