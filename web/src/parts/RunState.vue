<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { resumeMutation, stopMutation } from '@/api/calls'
import { useRun } from '@/api/progress'
import { computed } from 'vue'
import { moment } from './format'
import { runSays } from './runSays'

/** The work in progress, and how to stop it or go on with it. */
const props = defineProps<{ client: number }>()
const { data: run } = useRun(() => props.client)
const resume = useMutation(resumeMutation())
const stop = useMutation(stopMutation())

const told = computed(() => (run.value ? runSays(run.value) : { says: '', now: '' }))
const mistake = computed(() => resume.error.value?.detail ?? stop.error.value?.detail)
</script>

<template>
  <div class="run flow gap-2 nowrap" role="status" :data-run="run?.state ?? 'none'">
    <template v-if="run">
      <template v-if="run.state === 'running'">
        <span :title="told.now">{{ told.says }}</span>
        <ActionButton quiet @click="stop.mutate({ path: { client: client, run: run.id } })">
          Stop
        </ActionButton>
      </template>
      <!-- What ended well is told to who cannot see the figures come, and takes no room. -->
      <span v-else-if="run.state === 'done' && !run.failed" class="unseen">{{ told.says }}</span>
      <template v-else>
        <span :title="`started ${moment(run.started)}`">{{ told.says }}</span>
        <ActionButton quiet @click="resume.mutate({ path: { client: client, run: run.id } })">
          {{ run.state === 'done' ? 'Try again' : 'Continue' }}
        </ActionButton>
      </template>
    </template>
    <span v-if="mistake" class="mistake">{{ mistake }}</span>
  </div>
</template>
