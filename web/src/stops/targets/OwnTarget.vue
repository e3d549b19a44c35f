<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { named } from '@/ui/choices'
import ActionButton from '@/ui/ActionButton.vue'
import type { OwnDraft, PlanPage } from '@/api/types'
import { computed, nextTick, onMounted, ref } from 'vue'
import { namesApart } from '@/parts/pages'

/** A target that the user adds by hand: on which page, what, how long it takes, what it brings. */
const props = defineProps<{ pages: PlanPage[]; page: string }>()
const names = computed(() => namesApart(props.pages))
const emit = defineEmits<{ add: [draft: OwnDraft]; close: [] }>()

const at = ref(props.page || props.pages[0]?.key || '')
const text = ref('')
const minutes = ref<number | ''>(15)
const visits = ref<number | ''>('')
const field = ref<HTMLInputElement>()
onMounted(async () => {
  await nextTick()
  field.value?.focus()
})

function add() {
  emit('add', {
    page: at.value,
    text: text.value,
    minutes: Number(minutes.value) || 15,
    gain: Number(visits.value) || 0,
  })
}
</script>

<template>
  <form
    class="own flow wrap gap-3 lines-2 on-mid pad-2 edge washed"
    @submit.prevent="add"
    @keydown.esc.stop="$emit('close')"
  >
    <ChoiceBox
      v-model="at"
      class="field"
      name="own-page"
      label="Page"
      :options="
        named(
          pages.map((p) => p.key),
          (key) => names.get(key) ?? key,
        )
      "
    />
    <input
      ref="field"
      v-model="text"
      class="field text grow"
      name="own-text"
      maxlength="300"
      aria-label="What is to be done"
      placeholder="what is to be done"
    />
    <label
      ><input v-model="minutes" class="field num" name="own-minutes" type="number" min="1" max="10000" />
      min</label
    >
    <label
      ><input v-model="visits" class="field num" name="own-gain" type="number" min="0" step="any" /> visits a
      month, est.</label
    >
    <ActionButton quiet submit :disabled="!text.trim()">Add</ActionButton>
    <ActionButton quiet @click="$emit('close')">Cancel</ActionButton>
  </form>
</template>

<style scoped>
.own {
  border-bottom: var(--pencil-line);
}
.own select {
  width: var(--w20);
}
.text {
  min-width: var(--w28);
}
.own .num {
  width: var(--w9);
}
</style>
