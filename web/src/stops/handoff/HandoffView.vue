<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { briefOptions, walkOptions } from '@/api/calls'
import type { Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useAddress } from '@/parts/address'
import { useCommands } from '@/parts/keys'
import MessagePaper from './MessagePaper.vue'
import BriefPaper from './BriefPaper.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const {
  data: brief,
  error,
  isPending,
} = useQuery(() => briefOptions({ path: { client: props.client, page: props.page } }))
const address = useAddress()
const shown = computed(() => address.text('document'))
const documents = [
  { key: '', says: 'Brief', note: 'everything a writer needs for this page' },
  { key: 'message', says: 'Message to the owner', note: 'what there is to do, in a letter' },
]
const { data: walk, error: failed } = useQuery(() => ({
  ...walkOptions({ path: { client: props.client } }),
  enabled: shown.value === 'message',
}))
const reasons = ref(true)
const efforts = ref(true)
const print = () => window.print()
const download = ref<{ $el: HTMLAnchorElement }>()

const router = useRouter()
useCommands([
  {
    key: '',
    says: 'Walk-through for the owner',
    run: () => router.push({ name: 'walk', params: { client: props.client } }),
  },
  { key: '', says: 'Download the brief as .md', run: () => download.value?.$el.click() },
  { key: '', says: 'Print the brief', run: print },
  { key: '', says: 'Show or hide reasons', run: () => (reasons.value = !reasons.value) },
  { key: '', says: 'Show or hide gain and time', run: () => (efforts.value = !efforts.value) },
])
</script>

<template>
  <main id="main" class="desk grid">
    <nav class="documents no-print pad-4 edge" aria-label="Documents">
      <h2>Documents</h2>
      <ul class="flush pad-0 sides-0">
        <li class="pl-2">
          <RouterLink class="as-block bold" :to="{ name: 'walk', params: { client } }"
            >Walk-through</RouterLink
          >
          <span class="soft">what you tell the owner, step by step, full screen</span>
        </li>
        <li v-for="d in documents" :key="d.key" class="pl-2 mt-3" :class="{ here: d.key === shown }">
          <button
            class="quiet as-block bold to-left"
            type="button"
            :aria-current="d.key === shown ? 'page' : undefined"
            @click="address.set({ document: d.key }, true)"
          >
            {{ d.says }}
          </button>
          <span class="soft">{{ d.note }}</span>
        </li>
      </ul>
    </nav>
    <div class="board banded line-left">
      <NoticeLine v-if="error" :fault="error" />
      <p v-else-if="isPending" class="soft">Loading the brief…</p>
      <template v-else-if="shown === 'message'">
        <NoticeLine v-if="failed" :fault="failed" />
        <MessagePaper v-if="walk" :message="walk.message" />
      </template>
      <BriefPaper v-else-if="brief" :brief="brief" :reasons="reasons" :efforts="efforts" />
    </div>
    <aside v-if="shown === 'message'" class="stacked gap-2 no-print pad-4 edge" aria-label="Choices">
      <ActionButton @click="print">Print</ActionButton>
      <p class="soft">At most 150 words: what there is to do, with a figure of proof each.</p>
    </aside>
    <aside v-else class="stacked gap-2 no-print pad-4 edge" aria-label="Choices">
      <ActionButton
        ref="download"
        main
        :href="`/api/clients/${client}/pages/${page}/brief.md`"
        download
        data-download
      >
        Download .md
      </ActionButton>
      <ActionButton @click="print">Print</ActionButton>
      <h2>Show</h2>
      <label><input v-model="reasons" type="checkbox" name="reasons" /> reasons</label>
      <label><input v-model="efforts" type="checkbox" name="efforts" /> gain and time</label>
      <p class="soft">Dropped targets are left out. The download has everything.</p>
    </aside>
  </main>
</template>

<style scoped>
.desk {
  grid-template-columns: var(--w26) minmax(0, 1fr) var(--w28);
  min-height: calc(100vh - var(--header) - var(--strip));
}
.here {
  border-left: var(--s1) solid var(--ink);
}
.board {
  border-right: var(--line);
  padding: var(--s6) var(--s8) var(--s12);
}
.press {
  text-align: center;
}
@media (max-width: 760px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  .board {
    padding: var(--s3) 0 var(--s8);
  }
}
@media print {
  .desk {
    display: block;
  }
  .board {
    background: none;
    border: 0;
    padding: 0;
  }
}
</style>
