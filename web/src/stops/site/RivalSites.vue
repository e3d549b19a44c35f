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
    <div v-for="r in rivals" :key="r.entry_id" class="rival-site" :data-rival="r.domain">
      <button
        class="quiet head"
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
        <li v-for="p in r.all" :key="p.url">
          <a :href="p.url" target="_blank" rel="noreferrer" :title="p.url">{{ p.title || bare(p.url) }}</a>
          <span class="soft">{{ [p.kind, p.service, p.place].filter(Boolean).join(' · ') }}</span>
          <span class="num">{{ count(p.words) }}</span>
        </li>
        <li v-for="m in r.missed" :key="m.url" data-missed>
          <a :href="m.url" target="_blank" rel="noreferrer" :title="`Open ${m.url}`">{{ bare(m.url) }}</a>
          <span class="soft">not read: {{ m.says }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.rival-site {
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.head {
  display: block;
  width: 100%;
}
.head .soft {
  display: block;
}
.head .slab {
  text-decoration: underline;
  text-underline-offset: 3px;
  text-decoration-thickness: 1px;
  text-decoration-color: var(--rule);
}
ul {
  list-style: none;
  margin: 6px 0 2px;
  padding: 0 0 0 10px;
  border-left: 2px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: 1fr auto 44px;
  gap: 10px;
  padding: 2px 0;
  font-size: 12.5px;
}
li a {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
