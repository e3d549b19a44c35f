<script setup lang="ts">
import { emptyPlace, placeOf, type PlaceRow } from './business'
import { useRows } from './rows'

/** The places that are served, the home town first. */
const rows = defineModel<PlaceRow[]>({ required: true })
const { paste, first } = useRows(rows, emptyPlace, placeOf)
</script>

<template>
  <div class="rows" role="group" aria-label="Places">
    <div class="row soft head">
      <span>home town first; paste a list</span><span>state</span><span>other spellings</span>
    </div>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <input
        v-model="row.name"
        class="field"
        name="place"
        :aria-label="`Place ${i + 1}`"
        :placeholder="i ? '' : 'e.g. Tarn Harbor'"
        @paste="paste($event, i)"
      />
      <input
        v-model="row.state"
        class="field"
        name="place_state"
        :aria-label="`State of place ${i + 1}`"
        :placeholder="i ? '' : 'e.g. ME'"
      />
      <input
        v-model="row.spellings"
        class="field"
        name="place_spellings"
        :aria-label="`Other spellings of place ${i + 1}`"
      />
      <button
        v-if="i && row.name"
        class="link"
        type="button"
        :aria-label="`Make ${row.name} the home town`"
        title="Make it the home town"
        @click="first(i)"
      >
        ↑
      </button>
    </div>
  </div>
</template>

<style scoped src="./rows.css"></style>
<style scoped>
.rows {
  --columns: minmax(0, 1.1fr) 66px minmax(0, 1fr) 16px;
}
</style>
