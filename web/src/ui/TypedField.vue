<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A field in place. What is typed stays until it is saved, whatever comes from elsewhere meanwhile;
 * `was` is what stood here when the typing began. One that is not saved stays as it was typed.
 */
const props = defineProps<{
  value: string
  /** A field of so many lines for a text that may be long; it is one line all the same. */
  rows?: number
  /** Tells whether it was saved, or was none to be. */
  save: (typed: string, was: string) => Promise<boolean>
}>()
const typed = ref<string | null>(null)
let was: string | null = null
/* What was saved here last, until it has come back; saves go one after another. */
let saved: string | null = null
let saving = Promise.resolve()
watch(
  () => props.value,
  () => (saved = null),
)

function type(event: Event) {
  was ??= saved ?? props.value
  typed.value = (event.target as HTMLInputElement).value
}
function leave() {
  const text = typed.value
  const from = was
  was = null // whoever is refused is told what stands here by now
  if (text === null || from === null) return
  saving = saving
    .catch(() => {})
    .then(async () => {
      const over = saved ?? from
      const shown = props.value
      const done = text.trim() === over || (await props.save(text.trim(), over))
      if (done && props.value === shown) saved = text.trim() // it has not come back yet
      if (done && typed.value === text) typed.value = null
    })
}
/** Enter saves, also in a field of several lines. */
function enter(event: KeyboardEvent) {
  if (!props.rows) return
  event.preventDefault()
  ;(event.target as HTMLElement).blur()
}
</script>

<template>
  <component
    :is="rows ? 'textarea' : 'input'"
    :rows="rows"
    :value="typed ?? value"
    @input="type"
    @change="leave"
    @keydown.enter="enter"
    @keydown.esc="((typed = null), (was = null))"
  />
</template>
