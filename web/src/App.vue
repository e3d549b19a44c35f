<script setup lang="ts">
import { onScopeDispose, ref } from 'vue'
import FinderBox from './parts/FinderBox.vue'
import HelpSheet from './parts/HelpSheet.vue'
import UndoBar from './parts/UndoBar.vue'
import { useUndo } from './parts/undo'

const help = ref(false)
const finder = ref(false)
const undo = useUndo()

function typing(target: EventTarget | null) {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  )
}

function onKey(event: KeyboardEvent) {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
    event.preventDefault()
    finder.value = !finder.value
    return
  }
  if (event.key === 'Escape') {
    help.value = finder.value = false
    return
  }
  if (typing(event.target)) return
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && undo.said) {
    event.preventDefault()
    void undo.undo()
  } else if (event.key === '?') {
    help.value = !help.value
  }
}

window.addEventListener('keydown', onKey)
onScopeDispose(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <v-app>
    <router-view @help="help = !help" @find="finder = !finder" />
    <FinderBox v-if="finder" @close="finder = false" />
    <HelpSheet v-if="help" @close="help = false" />
    <UndoBar />
  </v-app>
</template>
