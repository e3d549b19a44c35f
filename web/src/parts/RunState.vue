<script setup lang="ts">
import { computed } from 'vue'
import { useChanges, useRun } from '@/api/queries'
import { moment } from './format'

/** The work in progress, and how to stop it or go on with it. */
const props = defineProps<{ client: number }>()
const { data: run } = useRun(() => props.client)
const { resume, stop } = useChanges(() => props.client)

const total = computed(() => run.value?.items.length ?? 0)
const reading = computed(() => run.value?.items.filter((i) => i.state === 'reading').map((i) => i.name) ?? [])
const mistake = computed(() => resume.error.value?.message ?? stop.error.value?.message)
</script>

<template>
  <div class="run" role="status" :data-run="run?.state ?? 'none'">
    <template v-if="run">
      <template v-if="run.state === 'running'">
        <span :title="reading.join(', ')">{{ run.done + run.failed }} of {{ total }} pages read</span>
        <button class="link" type="button" @click="stop.mutate(run.id)">Stop</button>
      </template>
      <template v-else-if="run.state === 'done' && !run.failed">
        <span class="soft">{{ total === 1 ? '1 page read' : `all ${total} pages read` }}</span>
      </template>
      <template v-else-if="run.state === 'done'">
        <span>{{ run.failed }} of {{ total }} not read</span>
        <button class="link" type="button" @click="resume.mutate(run.id)">Try again</button>
      </template>
      <template v-else>
        <span :title="`begun ${moment(run.started)}`">{{ run.state }} at {{ run.done }} of {{ total }}</span>
        <button class="link" type="button" @click="resume.mutate(run.id)">Go on</button>
      </template>
    </template>
    <span v-if="mistake" class="mistake">{{ mistake }}</span>
  </div>
</template>

<style scoped>
.run {
  display: flex;
  gap: 10px;
  white-space: nowrap;
}
</style>
