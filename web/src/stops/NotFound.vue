<script setup lang="ts">
import AppHeader from '@/parts/AppHeader.vue'

defineEmits<{ help: []; find: [] }>()
</script>

<template>
  <AppHeader @help="$emit('help')" @find="$emit('find')" />
  <main id="main" class="nothing pad-8 edge">
    <h1>There is nothing at this address</h1>
    <p><router-link to="/">All clients</router-link></p>
  </main>
</template>
