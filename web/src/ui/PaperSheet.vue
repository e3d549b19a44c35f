<script setup lang="ts">
/** A document as paper, as it prints. */
</script>

<template>
  <article class="paper">
    <slot />
  </article>
</template>

<style>
@layer ui {
  .paper {
    max-width: var(--w90);
    margin: 0 auto;
    background: rgb(var(--v-theme-surface));
    border: var(--line);
    padding: var(--s10) var(--s12) var(--s10);
  }
  @media (max-width: 760px) {
    .paper {
      padding: var(--s4);
    }
  }
  @media print {
    .paper {
      border: 0;
      padding: 0;
      max-width: none;
    }
  }
}
</style>
