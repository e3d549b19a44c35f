<script setup lang="ts">
import { computed } from 'vue'
import DialogBox from '@/ui/DialogBox.vue'
import { commands, keyName, singleKeys } from './keys'

/** What can be done by key on this screen, and what the signs mean. */
const open = defineModel<boolean>({ required: true })
/* The five stops are one line. */
const keys = computed(() => {
  const stops = commands.value.filter((c) => /^\d$/.test(c.key))
  const others = commands.value.filter((c) => c.key && !stops.includes(c))
  const list = others.map((c) => ({ key: keyName(c.key), says: c.says }))
  return stops.length ? [{ key: `1 to ${stops.length}`, says: 'Go to a stop' }, ...list] : list
})
</script>

<template>
  <DialogBox v-model="open" label="Keyboard shortcuts">
    <div class="flow apart">
      <h2 class="t-head flush">Keyboard shortcuts</h2>
      <button class="quiet close" type="button" aria-label="Close" @click="open = false">×</button>
    </div>
    <dl class="grid gap-2 flush" data-keys>
      <template v-for="k in keys" :key="k.key + k.says">
        <dt>
          <span class="kbd">{{ k.key }}</span>
        </dt>
        <dd class="flush">{{ k.says }}</dd>
      </template>
    </dl>
    <label class="switch as-block mt-3">
      <input v-model="singleKeys" type="checkbox" name="single" /> Single keys run commands while no button or
      field has the focus
    </label>
    <h2 class="t-head">Signs</h2>
    <p>
      One stroke is 100 words, a crossed bundle is 500. Ink is what is on the page, pencil is what is still to
      be written.
    </p>
    <p>
      A solid square: the phrase is there, word for word. A half square: the words are there, but not as one
      phrase. A pencil outline: wanted and missing.
    </p>
    <h2 class="t-head">API</h2>
    <p>Everything here is also available through <a href="/api.html">the API</a>.</p>
  </DialogBox>
</template>

<style scoped>
dl {
  grid-template-columns: var(--w12) 1fr;
}
</style>
