<script setup lang="ts">
import { emptyService, isAmount, serviceOf, type ServiceRow } from './business'
import { useRows } from './rows'

/** What the client sells, the main service first. */
const rows = defineModel<ServiceRow[]>({ required: true })
defineProps<{ money: string }>()
const { paste, first } = useRows(rows, emptyService, serviceOf)
</script>

<template>
  <div class="rows" role="group" aria-label="Services">
    <div class="row soft head">
      <span>main first; paste a list</span><span>other words for it</span
      ><span class="num">one job, {{ money || '$' }}</span>
    </div>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <input
        v-model="row.name"
        class="field"
        name="service"
        :aria-label="`Service ${i + 1}`"
        :placeholder="i ? '' : 'e.g. chimney sweep'"
        @paste="paste($event, i)"
      />
      <input
        v-model="row.words"
        class="field"
        name="service_words"
        :aria-label="`Other words for service ${i + 1}`"
        :placeholder="i ? '' : 'e.g. chimney cleaning'"
      />
      <input
        v-model="row.worth"
        class="field num"
        name="service_worth"
        inputmode="decimal"
        :aria-label="`What one job of service ${i + 1} brings`"
        :aria-invalid="!isAmount(row.worth)"
      />
      <button
        v-if="i && row.name"
        class="link"
        type="button"
        :aria-label="`Make ${row.name} the main service`"
        title="Make it the main one"
        @click="first(i)"
      >
        ↑
      </button>
      <p v-if="!isAmount(row.worth)" class="mistake" role="alert">
        “{{ row.worth }}” is no amount and is not saved. Enter a number, such as 250.
      </p>
    </div>
  </div>
</template>

<style scoped src="./rows.css"></style>
<style scoped>
.rows {
  --columns: minmax(0, 1fr) minmax(0, 1.25fr) 66px 16px;
}
.mistake {
  grid-column: 1 / -1;
  margin: 2px 0 6px;
}
</style>
