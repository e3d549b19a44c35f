<script setup lang="ts">
import { computed, onScopeDispose } from 'vue'
import type { Ground } from '@/api/client'
import { useChanges, useRun, useSheet } from '@/api/queries'
import EvidenceMargin from './EvidenceMargin.vue'
import { useMargin } from './margin'
import SheetTable from './SheetTable.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const {
  data: sheet,
  error,
  isPending,
} = useSheet(
  () => props.client,
  () => props.page,
)
const { data: run } = useRun(() => props.client)
const { measure } = useChanges(() => props.client)
const margin = useMargin()

const nothing = computed(() => sheet.value?.columns.every((c) => !c.reading_id && !c.error) ?? false)

function onKey(event: KeyboardEvent) {
  if (event.key === 'Escape' && margin.what.value) margin.close()
}
window.addEventListener('keydown', onKey)
onScopeDispose(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <main class="sheet" :class="{ open: margin.what.value }">
    <p v-if="error" class="mistake said">{{ error.message }}</p>
    <p v-else-if="isPending" class="soft said">Laying out the sheet…</p>
    <template v-else-if="sheet">
      <div v-if="nothing" class="said">
        <template v-if="run?.state === 'running'">
          <p class="big">Reading {{ run.items.length }} pages: {{ run.done }} done.</p>
        </template>
        <template v-else-if="!ground.home_page && sheet.columns.length === 1">
          <p class="big">There is no page yet and no rival: {{ ground.name }} begins with a new page.</p>
          <p>
            <router-link class="press main" :to="{ name: 'lineup', params: { client } }"
              >Find its rivals</router-link
            >
            <router-link class="more" :to="{ name: 'targets', params: { client, page } }"
              >See what the new page must hold</router-link
            >
          </p>
        </template>
        <template v-else>
          <p class="big">
            The client’s page and its rivals’ come here side by side: words, phrases, headings, image names.
          </p>
          <p v-if="measure.error.value" class="mistake">{{ measure.error.value.message }}</p>
          <button class="press main" type="button" @click="measure.mutate()">Measure</button>
        </template>
      </div>
      <SheetTable v-else :sheet="sheet" :client="client" :ground="ground" :margin="margin" />
      <EvidenceMargin
        v-if="margin.what.value"
        :sheet="sheet"
        :client="client"
        :page="page"
        :margin="margin"
      />
    </template>
  </main>
</template>

<style scoped>
.sheet.open {
  padding-right: var(--margin);
}
.said {
  padding: 16px var(--edge);
}
.press {
  text-decoration: none;
}
.more {
  margin-left: 18px;
}
.big {
  font-size: 15px;
  max-width: 560px;
}
@media (max-width: 900px) {
  .sheet.open {
    padding-right: 0;
  }
}
</style>
