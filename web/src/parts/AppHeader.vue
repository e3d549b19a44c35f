<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { namesOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
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
const place = computed(() => {
  const home = props.ground?.places.find((p) => p.home)
  return home ? [home.name, home.state].filter(Boolean).join(', ') : props.ground?.trade
})
</script>

<template>
  <header class="bar no-print">
    <RouterLink class="mark" to="/" aria-label="Ink Tally: all clients">
      <svg viewBox="0 0 32 26" width="28" height="23" aria-hidden="true">
        <path d="M6 3v20M12 3v20M18 3v20M24 3v20" />
        <path class="cross" d="M2 19 29 7" />
      </svg>
      <span class="slab">Ink Tally</span>
    </RouterLink>
    <template v-if="ground">
      <v-menu>
        <template #activator="{ props: open }">
          <button
            v-bind="open"
            class="client quiet"
            type="button"
            :title="[ground.name, place].filter(Boolean).join('\n')"
          >
            <span class="slab name">{{ ground.name }}</span>
            <span class="soft">{{ place || 'no place yet' }}</span>
          </button>
        </template>
        <ul class="clients">
          <li v-for="c in names" :key="c.id">
            <RouterLink :to="stopLocation(stop ?? 'ground', c.id, c.page_id)">{{ c.name }}</RouterLink>
          </li>
          <li><RouterLink to="/new">New client</RouterLink></li>
        </ul>
      </v-menu>
      <nav class="route" aria-label="The five stops">
        <RouterLink
          v-for="(s, i) in stops"
          :key="s.name"
          :to="stopLocation(s.name, ground.id, page ?? 0)"
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
    <span v-else class="gap"></span>
    <button class="find quiet" type="button" @click="$emit('find')">
      Find <span class="kbd">Ctrl K</span>
    </button>
    <button
      class="kbd quiet help"
      type="button"
      aria-label="Keyboard shortcuts and signs"
      @click="$emit('help')"
    >
      ?
    </button>
  </header>
</template>

<style scoped>
.bar {
  position: sticky;
  top: 0;
  z-index: 20;
  height: var(--header);
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 var(--edge);
  background: var(--paper);
  border-bottom: 2px solid var(--ink);
}
.mark {
  display: flex;
  align-items: center;
  gap: 8px;
  text-decoration: none;
  font-size: 21px;
  padding-right: 16px;
  border-right: 1px solid var(--rule);
  height: 34px;
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
  display: flex;
  flex-direction: column;
  line-height: 1.25;
  width: 250px;
  flex: 0 1 auto;
  min-width: 120px;
}
.client span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name {
  font-size: 15.5px;
}
.clients {
  list-style: none;
  background: var(--paper);
  border: 1px solid var(--ink);
  padding: 6px 0;
  min-width: 240px;
}
.clients a {
  display: block;
  padding: 7px 14px;
  text-decoration: none;
}
.clients a:hover,
.clients a:focus-visible {
  background: var(--band);
}
.route {
  display: flex;
  height: 100%;
  margin: 0 auto;
}
.route a {
  display: flex;
  align-items: center;
  gap: 7px;
  padding: 0 12px;
  text-decoration: none;
  font-weight: 600;
  border-bottom: 5px solid transparent;
  border-top: 5px solid transparent;
  white-space: nowrap;
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
.gap {
  flex: 1;
}
.find {
  white-space: nowrap;
  color: var(--ink-soft);
}
.help {
  padding: 1px 7px;
  border: 1px solid var(--rule);
}
@media (max-width: 1100px) {
  .route a {
    padding: 0 8px;
  }
  .find {
    display: none;
  }
  .client {
    width: 170px;
  }
}
@media (max-width: 760px) {
  .bar {
    height: auto;
    flex-wrap: wrap;
    position: static;
    padding: 8px 12px 0;
    row-gap: 2px;
  }
  .route {
    order: 5;
    width: 100%;
    height: 38px;
    margin: 0;
    overflow-x: auto;
    justify-content: space-between;
  }
  .route a {
    padding: 0 3px;
    gap: 4px;
  }
  .client {
    width: auto;
    max-width: 150px;
  }
  .help {
    margin-left: auto;
  }
}
</style>
