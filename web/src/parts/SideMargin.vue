<script setup lang="ts">
import { ref } from 'vue'
import { useFocusInto } from './focus'

/** The margin at the right of a stop, which opens on what is asked about a figure. */
defineProps<{ title: string; label: string }>()
defineEmits<{ close: [] }>()
const root = ref<HTMLElement>()
useFocusInto(root)
</script>

<template>
  <aside ref="root" class="margin" :aria-label="label">
    <header>
      <div class="line">
        <h2 tabindex="-1">{{ title }}</h2>
        <button class="quiet close" type="button" aria-label="Close" @click="$emit('close')">×</button>
      </div>
    </header>
    <div class="body" tabindex="0"><slot /></div>
    <footer v-if="$slots.foot" class="soft"><slot name="foot" /></footer>
  </aside>
</template>

<style scoped src="./margin.css"></style>
