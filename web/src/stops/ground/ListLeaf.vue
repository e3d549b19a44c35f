<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { useFileDrop } from '@/parts/fileDrop'
import { isField } from '@/parts/keys'
import { takeHanded } from '../receive/handed'
import ListImport from '../book/ListImport.vue'
import GroundLeaves from './GroundLeaves.vue'

/** A leaf of the ground that lists come to: dropped, pasted or chosen. What reads them is put into it. */
const props = defineProps<{ client: number; takes?: string; accept?: string; stop?: 'standing' }>()
const list = ref<File | undefined>(takeHanded(props.stop ?? 'book'))
const picker = ref<HTMLInputElement>()

const { over: held, on: drop } = useFileDrop<true>((data) => {
  list.value = data.files[0] ?? list.value
})
/** Closes a list, unless another one was chosen since. */
function done(file: File) {
  if (list.value === file) list.value = undefined
}
function chosen() {
  list.value = picker.value?.files?.[0] ?? list.value
  if (picker.value) picker.value.value = '' // so that the same file can be chosen again
}
/** A list that is pasted anywhere but in a field is imported like a file. */
function paste(e: ClipboardEvent) {
  if (isField(e.target)) return
  const text = e.clipboardData?.getData('text/plain')
  if (text?.trim()) list.value = new File([text], 'pasted list')
}
useEventListener(window, 'paste', paste)
</script>

<template>
  <main id="main" class="view stacked" :class="{ dropzone: held }" v-on="drop(true)">
    <div class="title">
      <h1>Ground</h1>
      <GroundLeaves :client="client" />
      <span v-if="held" class="pencil">Drop the list to see it before it is imported</span>
      <slot v-else name="told" />
      <span class="tools push flow gap-4 on-mid nowrap">
        <slot name="tools" />
        <ActionButton main class="pad-1 sides-3" @click="picker?.click()">{{
          takes ?? 'Import a list'
        }}</ActionButton>
      </span>
      <input
        ref="picker"
        class="unseen"
        type="file"
        name="list"
        tabindex="-1"
        aria-label="A list"
        :accept="accept ?? '.csv,.tsv,.txt,.xlsx'"
        @change="chosen"
      />
    </div>
    <slot v-if="list" name="import" :file="list" :done="done">
      <ListImport :client="client" :file="list" @done="done" />
    </slot>
    <slot />
  </main>
</template>

<style scoped src="./title.css"></style>
<style scoped>
.view {
  height: calc(100vh - var(--header));
}
@media (max-width: 760px) {
  .tools {
    flex-wrap: wrap;
    margin-left: 0;
  }
}
@media (max-width: 1100px) {
  .title,
  .tools {
    gap: var(--s3);
  }
}
</style>
