<script setup lang="ts">
import type { Form } from './business'

/** What a person tells of a client. */
const form = defineModel<Form>({ required: true })
defineEmits<{ settled: [] }>()
</script>

<template>
  <div class="form" @focusout="$emit('settled')">
    <section aria-label="The business">
      <h2>The business</h2>
      <label>Name <input v-model="form.name" class="field" name="name" /></label>
      <label
        >Trade <input v-model="form.trade" class="field" name="trade" placeholder="chimney care"
      /></label>
      <label
        >Phone <input v-model="form.phone" class="field" name="phone" placeholder="207-555-0134"
      /></label>
      <label
        >Home page
        <input v-model="form.homePage" class="field mono" name="home_page" placeholder="empty: no site yet" />
      </label>
      <slot name="business" />
    </section>
    <section aria-label="Services and places">
      <label class="list">
        <h2>Services</h2>
        <span class="soft">one a line, the main one first</span>
        <textarea v-model="form.services" class="field" name="services" rows="7"></textarea>
      </label>
      <label class="list">
        <h2>Places</h2>
        <span class="soft">one a line, the home town first: Tarn Harbor, ME</span>
        <textarea v-model="form.places" class="field" name="places" rows="7"></textarea>
      </label>
    </section>
    <section aria-label="Phrases">
      <label class="list">
        <h2>Phrases</h2>
        <span class="soft">what people type into a search; the lead first. A list can be pasted.</span>
        <textarea v-model="form.phrases" class="field" name="phrases" rows="17"></textarea>
      </label>
    </section>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) 1fr 1.1fr;
}
section {
  padding: 14px var(--edge) 24px;
  border-right: 1px solid var(--rule);
}
section:last-child {
  border-right: 0;
}
h2 {
  font-size: 16.5px;
  margin: 0 0 2px;
}
label {
  display: block;
  margin-top: 12px;
  color: var(--ink-soft);
}
label .field,
label h2 {
  color: var(--ink);
}
.list {
  margin-top: 0;
  margin-bottom: 18px;
}
.list textarea {
  display: block;
  margin-top: 6px;
}
@media (max-width: 860px) {
  .form {
    grid-template-columns: 1fr;
  }
}
</style>
