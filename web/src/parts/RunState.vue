<script setup lang="ts">
import { computed } from 'vue'
import { useChanges } from '@/api/changes'
import { useRun } from '@/api/queries'
import { moment, plural } from './format'

/** The work in progress, and how to stop it or go on with it. */
const props = defineProps<{ client: number }>()
const { data: run } = useRun(() => props.client)
const { resume, stop } = useChanges(() => props.client)

const total = computed(() => run.value?.items.length ?? 0)
const reading = computed(() => run.value?.items.filter((i) => i.state === 'reading').map((i) => i.name) ?? [])
const states: Record<string, string> = { stopped: 'Stopped', interrupted: 'Interrupted' }
const mistake = computed(() => resume.error.value?.message ?? stop.error.value?.message)
</script>

<template>
  <div class="run" role="status" :data-run="run?.state ?? 'none'">
    <template v-if="run">
      <template v-if="run.state === 'running'">
        <span :title="reading.join(', ')"
          >{{ run.done + run.failed }} of {{ plural(total, 'page') }} read</span
        >
        <button class="link" type="button" @click="stop.mutate(run.id)">Stop</button>
      </template>
      <template v-else-if="run.state === 'done' && !run.failed">
        <span class="soft">{{ plural(total, 'page') }} read</span>
      </template>
      <template v-else-if="run.state === 'done'">
        <span>{{ run.failed }} of {{ plural(total, 'page') }} not read</span>
        <button class="link" type="button" @click="resume.mutate(run.id)">Try again</button>
      </template>
      <template v-else>
        <span :title="`started ${moment(run.started)}`"
          >{{ states[run.state] }} after {{ run.done }} of {{ plural(total, 'page') }}</span
        >
        <button class="link" type="button" @click="resume.mutate(run.id)">Continue</button>
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
