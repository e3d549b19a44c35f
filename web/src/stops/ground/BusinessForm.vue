<script setup lang="ts">
import { computed } from 'vue'
import type { Form } from './business'
import PlaceRows from './PlaceRows.vue'
import ServiceRows from './ServiceRows.vue'

/** What a person tells of a client. */
const form = defineModel<Form>({ required: true })
defineEmits<{ settled: [] }>()

/* Those whose word forms are known; in others only the exact words count. */
const languages = [
  { tag: 'en', says: 'English' },
  { tag: 'da', says: 'Danish' },
  { tag: 'nl', says: 'Dutch' },
  { tag: 'fi', says: 'Finnish' },
  { tag: 'fr', says: 'French' },
  { tag: 'de', says: 'German' },
  { tag: 'hu', says: 'Hungarian' },
  { tag: 'it', says: 'Italian' },
  { tag: 'no', says: 'Norwegian' },
  { tag: 'pt', says: 'Portuguese' },
  { tag: 'ro', says: 'Romanian' },
  { tag: 'ru', says: 'Russian' },
  { tag: 'es', says: 'Spanish' },
  { tag: 'sv', says: 'Swedish' },
  { tag: 'tr', says: 'Turkish' },
  { tag: 'xx', says: 'Other (exact words only)' },
]
/* A tag that somebody entered elsewhere stays. */
const choices = computed(() =>
  languages.some((l) => l.tag === form.value.language)
    ? languages
    : [...languages, { tag: form.value.language, says: form.value.language }],
)
</script>

<template>
  <div class="form" @focusout="$emit('settled')">
    <section aria-label="The business">
      <h2>The business</h2>
      <label>Name <input v-model="form.name" class="field" name="name" /></label>
      <label
        >Trade <input v-model="form.trade" class="field" name="trade" placeholder="e.g. chimney care"
      /></label>
      <label
        >Phone <input v-model="form.phone" class="field" name="phone" placeholder="e.g. 207-555-0134"
      /></label>
      <label
        >Home page
        <input
          v-model="form.homePage"
          class="field mono"
          name="home_page"
          placeholder="empty if there is no site yet"
        />
      </label>
      <div class="pair">
        <label
          >Customers per 100 visits
          <input
            v-model="form.customers"
            class="field"
            name="customers"
            inputmode="decimal"
            placeholder="not known"
          />
        </label>
        <label>Currency <input v-model="form.money" class="field" name="money" maxlength="8" /></label>
      </div>
      <label
        >Postcode or ZIP
        <input v-model="form.postcode" class="field" name="postcode" maxlength="20" placeholder="not known" />
      </label>
      <label
        >Language of the phrases
        <select v-model="form.language" class="field" name="language">
          <option v-for="l in choices" :key="l.tag" :value="l.tag">{{ l.says }}</option>
        </select>
      </label>
      <slot name="business" />
    </section>
    <section aria-label="Services and places">
      <h2>Services</h2>
      <ServiceRows v-model="form.services" :money="form.money" />
      <h2 class="next">Places</h2>
      <PlaceRows v-model="form.places" />
      <slot name="places" />
    </section>
    <section aria-label="Phrases">
      <label class="list">
        <h2>Phrases of the home page</h2>
        <span class="soft">What people search for, one per line, the lead first. You can paste a list.</span>
        <textarea v-model="form.phrases" class="field" name="phrases" rows="17"></textarea>
      </label>
    </section>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(360px, 1.5fr) minmax(220px, 0.95fr);
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
.next {
  margin-top: 22px;
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
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 60px;
  gap: 0 12px;
  align-items: end;
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
