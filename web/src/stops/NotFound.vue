<script setup lang="ts">
import AppHeader from '@/parts/AppHeader.vue'

defineEmits<{ help: []; find: [] }>()
</script>

<template>
  <AppHeader @help="$emit('help')" @find="$emit('find')" />
  <main class="nothing">
    <h1>There is nothing under this address</h1>
    <p><router-link to="/">To all clients</router-link></p>
  </main>
</template>

<style scoped>
.nothing {
  padding: 30px var(--edge);
}
</style>
