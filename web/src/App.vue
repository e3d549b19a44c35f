<script setup lang="ts">
import { ref } from 'vue'
import FinderBox from './parts/FinderBox.vue'
import HelpSheet from './parts/HelpSheet.vue'
import { useShortcuts } from './parts/keys'
import UndoBar from './parts/UndoBar.vue'
import { useUndo } from './parts/undo'

const help = ref(false)
const finder = ref(false)
const undo = useUndo()

useShortcuts({
  'mod+k': () => void (finder.value = !finder.value),
  'mod+z': () => (undo.said ? undo.undo() : false),
  '?': () => (help.value = !help.value),
  Escape: () => (help.value = finder.value = false),
})
</script>

<template>
  <v-app>
    <router-view @help="help = !help" @find="finder = !finder" />
    <FinderBox v-if="finder" @close="finder = false" />
    <HelpSheet v-if="help" @close="help = false" />
    <UndoBar />
  </v-app>
</template>
