<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { briefOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref } from 'vue'
import { useCommands } from '@/parts/keys'
import BriefPaper from './BriefPaper.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const {
  data: brief,
  error,
  isPending,
} = useQuery(() => briefOptions({ path: { client: props.client, page: props.page } }))
const reasons = ref(true)
const efforts = ref(true)
const print = () => window.print()
const download = ref<HTMLAnchorElement>()

useCommands([
  { key: '', says: 'Download the brief as .md', run: () => download.value?.click() },
  { key: '', says: 'Print the brief', run: print },
  { key: '', says: 'Show or hide reasons', run: () => (reasons.value = !reasons.value) },
  { key: '', says: 'Show or hide gain and time', run: () => (efforts.value = !efforts.value) },
])
</script>

<template>
  <main class="desk">
    <nav class="documents no-print" aria-label="Documents">
      <h2>Documents</h2>
      <ul>
        <li class="here">
          <span>Brief</span>
          <span class="soft">everything a writer needs for this page</span>
        </li>
      </ul>
    </nav>
    <div class="table">
      <NoticeLine v-if="error" :fault="error" />
      <p v-else-if="isPending" class="soft">Loading the brief…</p>
      <BriefPaper v-else-if="brief" :brief="brief" :reasons="reasons" :efforts="efforts" />
    </div>
    <aside class="choices no-print" aria-label="Choices">
      <a
        ref="download"
        class="press main"
        :href="`/api/clients/${client}/pages/${page}/brief.md`"
        download
        data-download
      >
        Download .md
      </a>
      <button class="press" type="button" @click="print">Print</button>
      <h2>Show</h2>
      <label><input v-model="reasons" type="checkbox" name="reasons" /> reasons</label>
      <label><input v-model="efforts" type="checkbox" name="efforts" /> gain and time</label>
      <p class="soft">Dropped targets are left out. The download has everything.</p>
    </aside>
  </main>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) 220px;
  min-height: calc(100vh - var(--header) - var(--strip));
}
.documents,
.choices {
  padding: 18px var(--edge);
}
h2 {
  font-size: 15.5px;
  margin: 0 0 8px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.here {
  border-left: 4px solid var(--ink);
  padding-left: 10px;
}
.here span {
  display: block;
}
.here span:first-child {
  font-weight: 600;
}
.table {
  background: var(--band);
  border-left: 1px solid var(--rule);
  border-right: 1px solid var(--rule);
  padding: 26px 30px 60px;
}
.choices .press {
  display: block;
  width: 100%;
  text-align: center;
  text-decoration: none;
  margin-bottom: 10px;
}
.choices h2 {
  margin-top: 22px;
}
.choices label {
  display: block;
  padding: 3px 0;
}
.choices input {
  accent-color: var(--ink);
}
@media (max-width: 900px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 760px) {
  .table {
    padding: 12px 0 30px;
  }
}
@media print {
  .desk {
    display: block;
  }
  .table {
    background: none;
    border: 0;
    padding: 0;
  }
}
</style>
