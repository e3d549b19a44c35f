<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router'

/**
 * What can be done: a button, or a link where it leads to another view or gives a file. `main` is the one thing that
 * a view is for, `quiet` what else can be done; beside it stands the key that does the same.
 */
defineProps<{
  main?: boolean
  quiet?: boolean
  submit?: boolean
  to?: RouteLocationRaw
  href?: string
  shortcut?: string
}>()
</script>

<template>
  <component
    :is="to ? RouterLink : href ? 'a' : 'button'"
    :to="to"
    :href="href"
    :type="to || href ? undefined : submit ? 'submit' : 'button'"
    :class="quiet ? 'link' : ['press', { main }]"
  >
    <slot /><span v-if="shortcut" class="kbd">{{ shortcut }}</span>
  </component>
</template>

<style>
@layer ui {
  .link {
    background: none;
    border: 0;
    padding: 0;
    cursor: pointer;
    color: var(--ink-soft);
    text-decoration: underline;
  }
  .link:hover:not(:disabled) {
    color: var(--ink);
  }
  .link:disabled {
    cursor: default;
    text-decoration: none;
  }
  .link > .kbd {
    display: inline-block; /* it is not underlined */
    margin-left: var(--s1);
  }
  .press {
    background: none;
    border: var(--ink-line);
    border-radius: var(--corner);
    padding: var(--s1) var(--s4);
    line-height: var(--ruled);
    font-weight: 600;
    text-align: center;
    text-decoration: none;
    cursor: pointer;
    white-space: nowrap;
  }
  .press:hover:not(:disabled) {
    background: var(--band);
  }
  .press:disabled {
    opacity: 0.5;
    cursor: default;
  }
  .press.main {
    background: var(--ink);
    color: var(--paper);
  }
  .press.main:hover:not(:disabled) {
    background: var(--ink-soft);
  }
}
</style>
