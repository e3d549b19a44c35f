<script setup lang="ts">
import type { Step } from '@/api/types'
import { bare } from '@/parts/format'

/**
 * Kept pages side by side, as stills that run nothing and ask for nothing, gone to the first place where the phrase
 * stands, with what find-in-page says of it.
 */
defineProps<{ client: number; phrase: string; stills: Step['stills'] }>()
const address = (client: number, reading: number, phrase: string) =>
  `/api/clients/${client}/readings/${reading}/page?mark=${encodeURIComponent(phrase)}#marked-1`
/* So many places are named in one breath. */
const few = 3
const where = (slots: string[]) =>
  slots.length > few
    ? `It stands in ${slots.length} of the places that count.`
    : slots.length
      ? `It stands in ${slots.join(', ')}.`
      : 'It stands in none of the places that count.'
</script>

<template>
  <div class="pair grid gap-6 grow">
    <figure
      v-for="(s, i) in stills"
      :key="s.reading"
      class="stacked flush"
      :class="{ rival: i > 0 }"
      data-still
    >
      <figcaption class="flow apart on-base gap-3 t-head">
        <b class="slab t-title">{{ s.name }}</b>
        <span class="mono soft one-line">{{ bare(s.url) }}</span>
        <span class="find mono nowrap" :class="{ nothing: !s.found }" data-find>{{
          s.found ? `1 of ${s.found}` : '0 of 0'
        }}</span>
      </figcaption>
      <iframe
        class="grow"
        sandbox=""
        loading="eager"
        :title="`The page of ${s.name}, as it was kept`"
        :src="address(client, s.reading, phrase)"
      ></iframe>
      <span class="soft t-head of-two">{{ where(s.slots) }}</span>
    </figure>
  </div>
</template>

<style scoped>
.pair {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
iframe {
  width: 100%;
  min-height: var(--w26);
  border: var(--line);
  background: white;
}
.find {
  border: var(--ink-line);
  padding: 0 var(--s2);
}
.find.nothing {
  border: var(--pencil-line);
  color: var(--pencil);
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
