<script setup lang="ts">
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
  <form class="own" @submit.prevent="add" @keydown.esc.stop="$emit('close')">
    <select v-model="at" class="field" name="own-page" aria-label="Page">
      <option v-for="p in pages" :key="p.key" :value="p.key">{{ names.get(p.key) }}</option>
    </select>
    <input
      ref="field"
      v-model="text"
      class="field text"
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
    <button class="link" type="submit" :disabled="!text.trim()">Add</button>
    <button class="link" type="button" @click="$emit('close')">Cancel</button>
  </form>
</template>

<style scoped>
.own {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding: 8px var(--edge);
  border-bottom: 1px dashed var(--pencil);
  background: var(--pencil-wash);
}
.own select {
  width: 160px;
}
.text {
  flex: 1;
  min-width: 220px;
}
.own .num {
  width: 70px;
}
</style>
