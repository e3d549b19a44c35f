<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { ref } from 'vue'
import { sayPartsMutation } from '@/api/calls'
import type { Standing, StandingPart, StandingTarget } from '@/api/types'
import { duration, gain, plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import NoticeLine from '@/ui/NoticeLine.vue'

/** What to do about links, listings and profile, a list of its own with its own hours. */
const props = defineProps<{ client: number; standing: Standing }>()
const say = useMutation(sayPartsMutation())
const undo = useUndo()
const open = ref<string[]>([])
const toggle = (kind: string) =>
  (open.value = open.value.includes(kind) ? open.value.filter((k) => k !== kind) : [...open.value, kind])

async function tell(t: StandingTarget, p: StandingPart, state: StandingPart['state']) {
  const path = { client: props.client }
  const part = (s: StandingPart['state']) => ({ said: [{ kind: t.kind, key: p.key, state: s }] })
  const ok = await say.mutateAsync({ path, body: part(state) }).catch(() => null)
  if (ok)
    undo.offer({ open: 'Open again', done: 'Ticked off', dropped: 'Dropped' }[state], () =>
      say.mutateAsync({ path, body: part(p.state) }),
    )
}
const brings = (t: StandingTarget) =>
  [t.gain ? `about ${gain(t.gain)} visits/mo` : '', t.minutes ? duration(t.minutes) : '']
    .filter(Boolean)
    .join(' · ')
</script>

<template>
  <section class="ink-above" data-standing-targets>
    <p class="flow wrap gap-4 on-base pad-2 edge flush">
      <b class="slab t-head">What to do</b>
      <span class="soft"
        >{{ duration(standing.minutes)
        }}<template v-if="standing.hours">
          in all; {{ duration(standing.hours * 60) }} of your hours</template
        >
        <template v-if="standing.gain">
          · about {{ gain(standing.gain) }} visits/mo from the map, est. by
          {{ plural(standing.searches, 'recorded search', 'recorded searches') }}; beside the content’s, not
          added to it
        </template></span
      >
    </p>
    <NoticeLine :fault="say.error.value" class="edge" />
    <ol class="flush">
      <li v-for="(t, n) in standing.targets" :key="t.kind" class="line-above" :data-target="t.kind">
        <div class="flow gap-4 on-base pad-1 edge">
          <span class="soft number">{{ n + 1 }}</span>
          <button
            class="quiet grow to-left"
            type="button"
            :aria-expanded="open.includes(t.kind)"
            @click="toggle(t.kind)"
          >
            <b>{{ t.says }}</b> <span class="soft">{{ t.more }}</span>
          </button>
          <span v-if="standing.hours && t.total" class="soft nowrap">{{ t.fits }} of {{ t.total }} fit</span>
          <span class="nowrap">{{ brings(t) }}</span>
        </div>
        <ul v-if="open.includes(t.kind)" class="flush parts">
          <li
            v-for="p in t.parts"
            :key="p.key"
            class="flow gap-3 on-base"
            :class="{ struck: p.state !== 'open', soft: !p.fits }"
          >
            <input
              type="checkbox"
              :checked="p.state === 'done'"
              :aria-label="`${p.says} is done`"
              @change="tell(t, p, p.state === 'done' ? 'open' : 'done')"
            />
            <span class="grow anywhere">{{ p.says }}</span>
            <span class="nowrap soft">{{ duration(p.minutes) }}</span>
            <button
              class="quiet soft"
              type="button"
              @click="tell(t, p, p.state === 'dropped' ? 'open' : 'dropped')"
            >
              {{ p.state === 'dropped' ? 'Take back' : 'Drop' }}
            </button>
          </li>
          <li v-if="t.total > t.parts.length" class="soft">
            and {{ t.total - t.parts.length }} more, in the list above
          </li>
        </ul>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.number {
  min-width: var(--w3);
  text-align: right;
}
.parts {
  padding: 0 var(--edge) var(--s2) var(--w9);
}
</style>
