<script setup lang="ts">
import { computed, ref } from 'vue'
import { useFocusOfDialog } from './focus'
import { commands, keyName, singleKeys } from './keys'

/** What can be done by key on this screen, and what the signs mean. */
const open = defineModel<boolean>({ required: true })

const box = ref<HTMLElement>()
useFocusOfDialog(open, () => box.value)
/* The five stops are one line. */
const keys = computed(() => {
  const stops = commands.value.filter((c) => /^\d$/.test(c.key))
  const others = commands.value.filter((c) => c.key && !stops.includes(c))
  const list = others.map((c) => ({ key: keyName(c.key), says: c.says }))
  return stops.length ? [{ key: `1 to ${stops.length}`, says: 'Go to a stop' }, ...list] : list
})
</script>

<template>
  <v-dialog
    v-model="open"
    class="help"
    width="460"
    :scrim="false"
    :transition="false"
    aria-labelledby="help-title"
  >
    <div ref="box" class="box" tabindex="0">
      <header>
        <h2 id="help-title">Keyboard shortcuts</h2>
        <button class="quiet close" type="button" aria-label="Close" @click="open = false">×</button>
      </header>
      <dl data-keys>
        <template v-for="k in keys" :key="k.key + k.says">
          <dt>
            <span class="kbd">{{ k.key }}</span>
          </dt>
          <dd>{{ k.says }}</dd>
        </template>
      </dl>
      <label class="switch">
        <input v-model="singleKeys" type="checkbox" name="single" /> Single keys run commands while no button
        or field has the focus
      </label>
      <h2>Signs</h2>
      <p>
        One stroke is 100 words, a crossed bundle is 500. Ink is what is on the page, pencil is what is still
        to be written.
      </p>
      <p>
        A solid square: the phrase is there, word for word. A half square: the words are there, but not as one
        phrase. A pencil outline: wanted and missing.
      </p>
      <h2>API</h2>
      <p>Everything here is also available through <a href="/api.html">the API</a>.</p>
    </div>
  </v-dialog>
</template>

<style scoped>
.box {
  background: var(--paper);
  border: 1px solid var(--ink);
  box-shadow: 0 6px 18px rgb(0 0 0 / 10%);
  padding: 16px 20px;
  font-size: 14px;
  line-height: 1.4;
  letter-spacing: 0;
  max-height: 84vh;
  overflow: auto;
}
header {
  display: flex;
  justify-content: space-between;
}
h2 {
  font-size: 17px;
  margin: 12px 0 8px;
}
header h2 {
  margin-top: 0;
}
dl {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 8px;
  margin: 0;
}
dd {
  margin: 0;
}
.switch {
  display: block;
  margin-top: 12px;
}
</style>
