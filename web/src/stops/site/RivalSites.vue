<script setup lang="ts">
import type { Rival } from '@/api/types'
import { ref } from 'vue'
import { bare, count, plural } from '@/parts/format'

/** The sites of the rivals: how many pages, and for which of the client's services and places. */
defineProps<{ client: number; rivals: Rival[] }>()
const open = ref(0)

/** How many pages were read, of how many that are known. */
function pagesRead(r: Rival) {
  return r.missed.length ? `${r.pages} of ${r.pages + r.missed.length} pages read` : plural(r.pages, 'page')
}
</script>

<template>
  <section>
    <h2>Rivals' sites</h2>
    <p v-if="!rivals.length" class="soft">
      No rivals yet.
      <router-link :to="{ name: 'lineup', params: { client } }">Choose some in the lineup</router-link>.
    </p>
    <div
      v-for="r in rivals"
      :key="r.entry_id"
      class="rival-site line-below pad-2 sides-0"
      :data-rival="r.domain"
    >
      <button
        class="quiet head as-block full"
        type="button"
        :aria-expanded="open === r.entry_id"
        @click="open = open === r.entry_id ? 0 : r.entry_id"
      >
        <span class="slab">{{ r.name }}</span>
        <span class="soft">{{
          r.surveyed_at
            ? `${pagesRead(r)}: ${plural(r.services.length, 'service')}, ${plural(r.areas.length, 'area')}`
            : 'not surveyed'
        }}</span>
      </button>
      <p v-if="r.failure" class="mistake">{{ r.failure.says }}</p>
      <ul v-if="open === r.entry_id">
        <li v-for="p in r.all" :key="p.url" class="grid gap-2 pad-0 sides-0 t-small">
          <a :href="p.url" target="_blank" rel="noreferrer" :title="p.url">{{ p.title || bare(p.url) }}</a>
          <span class="soft">{{ [p.kind, p.service, p.place].filter(Boolean).join(' · ') }}</span>
          <span class="num">{{ count(p.words) }}</span>
        </li>
        <li v-for="m in r.missed" :key="m.url" class="grid gap-2 pad-0 sides-0 t-small" data-missed>
          <a :href="m.url" target="_blank" rel="noreferrer" :title="`Open ${m.url}`">{{ bare(m.url) }}</a>
          <span class="soft">not read: {{ m.says }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.head .soft {
  display: block;
}
.head .slab {
  text-decoration: underline;
  text-underline-offset: var(--s1);
  text-decoration-thickness: var(--hair);
  text-decoration-color: var(--rule);
}
ul {
  margin: var(--s2) 0 var(--s0);
  padding: 0 0 0 var(--s2);
  border-left: var(--thick) solid var(--rule);
}
li {
  grid-template-columns: 1fr auto var(--w6);
}
li a {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
