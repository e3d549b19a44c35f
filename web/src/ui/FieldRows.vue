<script setup lang="ts" generic="Row extends { name: string }">
import ActionButton from './ActionButton.vue'
import { useFieldRows } from './fieldRows'

/** A field of each row: what its column says, what it is called, and what stands in it to be seen as an example. */
export interface FieldColumn<Row> {
  of: keyof Row & string
  title: string
  name: string
  label: (row: number) => string
  example?: string
  num?: boolean
  /** Why what was typed is not taken, empty where it is. */
  fault?: (typed: string) => string
}

/**
 * A list of things with some fields each, the first one first of all. It grows as it is filled, and a list that is
 * pasted into the first field of a row becomes rows.
 */
const rows = defineModel<Row[]>({ required: true })
const props = defineProps<{
  label: string
  columns: FieldColumn<Row>[]
  empty: () => Row
  /** Reads a pasted line. */
  read: (line: string) => Row
  /** What the first one is, as it is said where another one is made it. */
  first: string
}>()
const { paste, toFront } = useFieldRows(rows, props.empty, props.read)
const faults = (row: Row) => props.columns.flatMap((c) => c.fault?.(String(row[c.of])) || [])
</script>

<template>
  <div class="rows" role="group" :aria-label="label">
    <div class="row soft t-small">
      <span v-for="c in columns" :key="c.of" :class="{ num: c.num }">{{ c.title }}</span>
    </div>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <input
        v-for="(c, at) in columns"
        :key="c.of"
        v-model="row[c.of]"
        class="field"
        :class="{ num: c.num }"
        :name="c.name"
        :inputmode="c.num ? 'decimal' : undefined"
        :aria-label="c.label(i + 1)"
        :aria-invalid="!!c.fault?.(String(row[c.of]))"
        :placeholder="i ? '' : c.example"
        @paste="at === 0 && paste($event, i)"
      />
      <ActionButton
        v-if="i && row.name"
        quiet
        :aria-label="`Make ${row.name} the ${first}`"
        :title="`Make it the ${first}`"
        @click="toFront(i)"
      >
        ↑
      </ActionButton>
      <p v-for="f in faults(row)" :key="f" class="mistake whole" role="alert">{{ f }}</p>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--columns);
  gap: 0 var(--s2);
  align-items: center;
}
.field:not(:focus) {
  border-bottom-color: var(--rule);
}
.whole {
  grid-column: 1 / -1;
}
</style>
