<script setup lang="ts">
import { ref } from 'vue'
import { useChanges } from '@/api/queries'
import { useUndo } from '@/parts/undo'

/** A page that cannot be reached is pasted: its HTML, or its plain text. */
const props = withDefaults(defineProps<{ client: number; page: number; entry?: number }>(), { entry: 0 })
const emit = defineEmits<{ taken: [] }>()
const { paste, dropReadings } = useChanges(() => props.client)
const undo = useUndo()
const open = ref(false)
const html = ref('')

async function take() {
  const filed = await paste
    .mutateAsync({ page: props.page, entry: props.entry, html: html.value })
    .catch(() => null)
  if (!filed) return
  undo.offer('A page was pasted', () => dropReadings.mutateAsync([filed.reading_id]))
  html.value = ''
  open.value = false
  emit('taken')
}
</script>

<template>
  <div>
    <button v-if="!open" class="link" type="button" @click="open = true">Paste the page instead</button>
    <form v-else @submit.prevent="take" @focusout.stop>
      <label class="soft"
        >The page’s HTML, or its text
        <textarea v-model="html" class="field mono" name="html" rows="5"></textarea>
      </label>
      <p v-if="paste.error.value" class="mistake" role="alert">{{ paste.error.value.message }}</p>
      <div class="buttons">
        <button class="press" type="submit" :disabled="paste.isPending.value">Measure what was pasted</button>
        <button class="link" type="button" @click="open = false">Leave it</button>
      </div>
    </form>
  </div>
</template>

<style scoped>
.link {
  text-align: left;
}
.buttons {
  display: flex;
  gap: 14px;
  margin-top: 8px;
}
</style>
