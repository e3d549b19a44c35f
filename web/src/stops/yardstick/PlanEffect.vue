<script setup lang="ts">
import type { PlanChange } from '@/api/types'
import { computed } from 'vue'
import { duration, gain, plural } from '@/parts/format'

/** What a change of figures would change in the plan. */
const props = defineProps<{ effect: PlanChange }>()
const most = 6
const list = computed(() => props.effect.targets.slice(0, most))
const signed = (n: number) => (n < 0 ? `−${gain(-n)}` : `+${gain(n)}`)
const time = (m: number) => (m < 0 ? `−${duration(-m)}` : `+${duration(m)}`)
</script>

<template>
  <div class="effect t-small" data-effect>
    <p v-if="!effect.targets.length">No target would change.</p>
    <template v-else>
      <p>
        <b>{{ plural(effect.targets.length, 'target') }}</b> would change; above the line
        <b>{{ signed(effect.gain) }}{{ effect.unit === 'share' ? '%' : ' visits' }}</b
        ><template v-if="Math.round(effect.minutes)">; {{ time(effect.minutes) }} in all</template>.
      </p>
      <ul class="flush pad-0 sides-0">
        <li v-for="t in list" :key="t.id" class="flow apart gap-2">
          <span class="says one-line" :class="{ gone: t.gone }">{{ t.says || t.was }}</span>
          <span class="num soft nowrap">
            <template v-if="t.new">new</template><template v-else-if="t.gone">gone</template>
            <template v-else-if="Math.abs(t.gain) >= 0.05">{{ signed(t.gain) }}</template>
            <template v-else-if="Math.abs(t.minutes) >= 0.5">{{ time(t.minutes) }}</template>
            <template v-else-if="t.fits !== t.fitted">{{ t.fits ? 'fits' : 'no longer fits' }}</template>
          </span>
        </li>
        <li v-if="effect.targets.length > most" class="soft flow apart gap-2">
          and {{ effect.targets.length - most }} more
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.gone {
  text-decoration: line-through;
}
</style>
