<script setup lang="ts">
/** Figures of note in a line, each over what it is of; what is not there yet is in pencil. */
defineProps<{ figures: { figure: string; says: string; pencil?: boolean; hint?: string }[] }>()
</script>

<template>
  <div class="flow wrap gap-6 lines-2 pad-2 edge">
    <div v-for="f in figures" :key="f.says" :title="f.hint">
      <span class="as-block figure t-title" :class="{ pencil: f.pencil }">{{ f.figure }}</span>
      <span class="soft">{{ f.says }}</span>
    </div>
  </div>
</template>

<style scoped>
.figure {
  line-height: 1.15;
}
</style>
