<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { pasteMutation, removeReadingMutation } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref } from 'vue'
import { useUndo } from '@/parts/undo'

/** A page that cannot be reached is pasted: its HTML, or its plain text. */
const props = withDefaults(
  defineProps<{ client: number; page: number; entry?: number; started?: boolean }>(),
  { entry: 0 },
)
const emit = defineEmits<{ closed: [] }>()
const paste = useMutation(pasteMutation())
const removeReading = useMutation(removeReadingMutation())
const undo = useUndo()
const open = ref(props.started)
const html = ref('')

async function run() {
  const filed = await paste
    .mutateAsync({
      path: { client: props.client, page: props.page },
      body: { entry: props.entry, html: html.value },
    })
    .catch(() => null)
  if (!filed) return
  undo.offer('Page pasted', () =>
    removeReading.mutateAsync({ path: { client: props.client, reading: filed.reading_id } }),
  )
  html.value = ''
  close()
}

function close() {
  open.value = false
  emit('closed')
}
</script>

<template>
  <div>
    <ActionButton v-if="!open" quiet class="to-left" @click="open = true">Paste the page</ActionButton>
    <form v-else @submit.prevent="run" @focusout.stop>
      <label class="soft"
        >The page’s HTML or text
        <textarea v-model="html" class="field mono" name="html" rows="5"></textarea>
      </label>
      <NoticeLine :fault="paste.error.value" />
      <div class="buttons flow gap-3 mt-2">
        <ActionButton submit :disabled="paste.isPending.value">Measure</ActionButton>
        <ActionButton quiet class="to-left" @click="close">Cancel</ActionButton>
      </div>
    </form>
  </div>
</template>
