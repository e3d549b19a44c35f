<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useNames } from '@/api/queries'
import { words } from './format'
import { stops, stopLocation } from './stops'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { data: names } = useNames()
const typed = ref('')
const at = ref(0)
const field = ref<HTMLInputElement>()

/** Every stop of every client, narrowed by what is typed. */
const found = computed(() => {
  const asked = words(typed.value)
  const all = (names.value ?? []).flatMap((c) =>
    stops.map((s) => ({
      client: c,
      stop: s,
      text: `${c.name} · ${s.label}`,
      low: `${c.name} ${s.label}`.toLowerCase(),
    })),
  )
  return all.filter((f) => asked.every((w) => f.low.includes(w))).slice(0, 9)
})

function go(i: number) {
  const f = found.value[i]
  if (f) void router.push(stopLocation(f.stop.name, f.client.id, f.client.page_id))
  emit('close')
}

function move(by: number) {
  at.value = (at.value + by + found.value.length) % Math.max(1, found.value.length)
}

onMounted(() => nextTick(() => field.value?.focus()))
</script>

<template>
  <div class="finder" role="dialog" aria-label="Find a client or a stop">
    <input
      ref="field"
      v-model="typed"
      class="field"
      placeholder="Client or stop"
      aria-label="Client or stop"
      @input="at = 0"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter="go(at)"
      @keydown.esc="emit('close')"
    />
    <ol>
      <li v-for="(f, i) in found" :key="f.text" :class="{ at: i === at }">
        <button class="quiet" type="button" @click="go(i)">{{ f.text }}</button>
      </li>
    </ol>
    <p v-if="!found.length" class="soft">No matches</p>
  </div>
</template>

<style scoped>
.finder {
  position: fixed;
  right: var(--edge);
  top: 50px;
  width: 360px;
  z-index: 40;
  background: var(--paper);
  border: 1px solid var(--ink);
  box-shadow: 0 6px 18px rgb(0 0 0 / 10%);
  padding: 10px 14px;
}
ol {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li button {
  width: 100%;
  padding: 6px 4px;
}
.at {
  background: var(--band);
}
</style>
