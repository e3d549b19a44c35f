<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { computed } from 'vue'
import FieldLine from '@/ui/FieldLine.vue'
import type { Form } from './business'
import ServicesAndPlaces from './ServicesAndPlaces.vue'

/** What a person tells of a client. */
const form = defineModel<Form>({ required: true })
defineEmits<{ settled: [] }>()

/* Those whose word forms are known; in others only the exact words count. */
const languages = [
  { value: 'en', says: 'English' },
  { value: 'da', says: 'Danish' },
  { value: 'nl', says: 'Dutch' },
  { value: 'fi', says: 'Finnish' },
  { value: 'fr', says: 'French' },
  { value: 'de', says: 'German' },
  { value: 'hu', says: 'Hungarian' },
  { value: 'it', says: 'Italian' },
  { value: 'no', says: 'Norwegian' },
  { value: 'pt', says: 'Portuguese' },
  { value: 'ro', says: 'Romanian' },
  { value: 'ru', says: 'Russian' },
  { value: 'es', says: 'Spanish' },
  { value: 'sv', says: 'Swedish' },
  { value: 'tr', says: 'Turkish' },
  { value: 'xx', says: 'Other (exact words only)' },
]
/* A tag that somebody entered elsewhere stays. */
const choices = computed(() =>
  languages.some((l) => l.value === form.value.language)
    ? languages
    : [...languages, { value: form.value.language, says: form.value.language }],
)
</script>

<template>
  <div class="form grid" @focusout="$emit('settled')">
    <section class="pad-3 edge" aria-label="The business">
      <h2>The business</h2>
      <FieldLine v-model="form.name" label="Name" name="name" />
      <FieldLine v-model="form.trade" label="Trade" name="trade" placeholder="e.g. chimney care" />
      <FieldLine v-model="form.phone" label="Phone" name="phone" placeholder="e.g. 207-555-0134" />
      <FieldLine
        v-model="form.homePage"
        label="Home page"
        mono
        name="home_page"
        placeholder="empty if there is no site yet"
      />
      <div class="pair grid gap-3 lines-0 at-end">
        <FieldLine
          v-model="form.customers"
          label="Customers per 100 visits"
          name="customers"
          inputmode="decimal"
          placeholder="not known"
        />
        <FieldLine v-model="form.money" label="Currency" name="money" maxlength="8" />
      </div>
      <FieldLine
        v-model="form.postcode"
        label="Postcode or ZIP"
        name="postcode"
        maxlength="20"
        placeholder="not known"
      />
      <FieldLine
        v-model="form.address"
        label="Street address, as it should stand in every listing"
        name="street_address"
        maxlength="300"
        placeholder="e.g. 12 Quay Street, Tarn Harbor, ME 04101"
      />
      <label class="flow gap-2 soft"
        ><input v-model="form.hidden" type="checkbox" name="address_hidden" /> not shown, by choice</label
      >
      <FieldLine
        v-model="form.hours"
        label="Opening hours"
        name="opening_hours"
        maxlength="300"
        placeholder="e.g. Mon-Fri 8am-5pm"
      />
      <FieldLine
        v-model="form.phones"
        label="Other phones"
        name="more_phones"
        maxlength="300"
        placeholder="none"
      />
      <label class="as-block soft"
        >Language of the phrases
        <ChoiceBox
          v-model="form.language"
          class="field"
          name="language"
          label="Language of the phrases"
          :options="choices"
        />
      </label>
      <slot name="business" />
    </section>
    <section class="pad-3 edge" aria-label="Services and places">
      <ServicesAndPlaces v-model="form" />
      <slot name="places" />
    </section>
    <section class="pad-3 edge" aria-label="Phrases">
      <label class="as-block soft">
        <h2 class="flush">Phrases of the home page</h2>
        <span class="soft">What people search for, one per line, the lead first. You can paste a list.</span>
        <textarea v-model="form.phrases" class="field mt-2" name="phrases" rows="17"></textarea>
      </label>
    </section>
  </div>
</template>

<style scoped>
.form {
  grid-template-columns: minmax(var(--w35), 1fr) minmax(var(--w45), 1.5fr) minmax(var(--w28), 0.95fr);
}
section:not(:last-child) {
  border-right: var(--line);
}
label {
  margin-top: var(--s3);
}
.pair {
  grid-template-columns: minmax(0, 1fr) var(--w8);
}
@media (max-width: 760px) {
  .form {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
