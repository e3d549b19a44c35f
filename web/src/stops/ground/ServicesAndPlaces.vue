<script setup lang="ts">
import FieldRows, { type FieldColumn } from '@/ui/FieldRows.vue'
import { computed } from 'vue'
import {
  emptyPlace,
  emptyService,
  isAmount,
  placeOf,
  serviceOf,
  type Form,
  type PlaceRow,
  type ServiceRow,
} from './business'

/** What the client sells, the main service first, and where, the home town first. */
const form = defineModel<Form>({ required: true })

const services = computed<FieldColumn<ServiceRow>[]>(() => [
  {
    of: 'name',
    title: 'main first; paste a list',
    name: 'service',
    label: (n) => `Service ${n}`,
    example: 'e.g. chimney sweep',
  },
  {
    of: 'words',
    title: 'other words for it',
    name: 'service_words',
    label: (n) => `Other words for service ${n}`,
    example: 'e.g. chimney cleaning',
  },
  {
    of: 'worth',
    title: `one job, ${form.value.money || '$'}`,
    name: 'service_worth',
    label: (n) => `What one job of service ${n} brings`,
    num: true,
    fault: (typed) =>
      isAmount(typed) ? '' : `“${typed}” is no amount and is not saved. Enter a number, such as 250.`,
  },
])
const places: FieldColumn<PlaceRow>[] = [
  {
    of: 'name',
    title: 'home town first; paste a list',
    name: 'place',
    label: (n) => `Place ${n}`,
    example: 'e.g. Tarn Harbor',
  },
  {
    of: 'state',
    title: 'state',
    name: 'place_state',
    label: (n) => `State of place ${n}`,
    example: 'e.g. ME',
  },
  {
    of: 'spellings',
    title: 'other spellings',
    name: 'place_spellings',
    label: (n) => `Other spellings of place ${n}`,
  },
]
</script>

<template>
  <div>
    <h2>Services</h2>
    <FieldRows
      v-model="form.services"
      class="services"
      label="Services"
      :columns="services"
      :empty="emptyService"
      :read="serviceOf"
      first="main service"
    />
  </div>
  <div>
    <h2>Places</h2>
    <FieldRows
      v-model="form.places"
      class="places"
      label="Places"
      :columns="places"
      :empty="emptyPlace"
      :read="placeOf"
      first="home town"
    />
  </div>
</template>

<style scoped>
.services {
  --columns: minmax(0, 1fr) minmax(0, 1.25fr) var(--w9) var(--s4);
}
.places {
  --columns: minmax(0, 1.1fr) var(--w9) minmax(0, 1fr) var(--s4);
}
</style>
