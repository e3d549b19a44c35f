<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import FinderBox from './parts/FinderBox.vue'
import HelpSheet from './parts/HelpSheet.vue'
import { useCommands, useKeys } from './parts/keys'
import UndoBar from './parts/UndoBar.vue'
import { useUndo } from './parts/undo'

/** Goes past header and tabs. */
function skip() {
  const main = document.getElementById('main')
  main?.setAttribute('tabindex', '-1')
  main?.focus()
}

const help = ref(false)
const finder = ref(false)
const undo = useUndo()

useKeys()
useCommands([
  { key: 'mod+k', says: 'Find', run: () => void (finder.value = true) },
  { key: 'mod+z', says: 'Undo the last change', run: () => undo.canUndo && void undo.undo() },
  { key: '?', says: 'Keyboard shortcuts and signs', run: () => void (help.value = true) },
  { key: '', says: 'All clients', run: () => router.push('/') },
  { key: '', says: 'New client', run: () => router.push('/new') },
])
const router = useRouter()
const route = useRoute()
/* A client's views name the client too. */
useTitle(() => (route.params.client ? null : [route.meta.title, 'Ink Tally'].filter(Boolean).join(' – ')))
</script>

<template>
  <v-app>
    <a class="skip" href="#main" @click.prevent="skip">Skip to the page</a>
    <router-view @help="help = true" @find="finder = true" />
    <FinderBox v-model="finder" />
    <HelpSheet v-model="help" />
    <UndoBar />
  </v-app>
</template>
