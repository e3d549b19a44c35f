<script setup lang="ts">
/** A column: its key, its head, and how wide it is, by the names of widths. */
export interface Column {
  key: string
  /** What its head says; `unseen` says it to who does not see the table. */
  title?: string
  unseen?: string
  hint?: string
  num?: boolean
  width?: string
  /** How wide it is where there is little room. */
  narrow?: string
}

/**
 * A ruled table: the columns are data, the rows are what is put into it, each in a tbody. Its cells know `num`,
 * `under` (a second line), `kind` (a row that heads others), `target` and `rival`.
 */
defineProps<{
  columns: Column[]
  /** Whether its heads are said, but not shown: another table above it has them. */
  headless?: boolean
  /** Ruled between the columns too. */
  lined?: boolean
  /** Whether columns keep their widths, whatever is in them. */
  fixed?: boolean
  /** Whether what is in a cell fills it, as its button. */
  filled?: boolean
}>()
const token = (name?: string) => name && `var(--${name})`
</script>

<template>
  <table class="table" :class="{ lined, fixed, filled, headless }">
    <colgroup>
      <col
        v-for="c in columns"
        :key="c.key"
        :style="{ '--wide': token(c.width), '--narrow': token(c.narrow ?? c.width) }"
      />
    </colgroup>
    <thead>
      <tr class="soft">
        <th v-for="c in columns" :key="c.key" scope="col" :class="[c.key, { num: c.num }]" :title="c.hint">
          <slot :name="c.key"
            >{{ c.title }}<span v-if="c.unseen" class="unseen">{{ c.unseen }}</span></slot
          >
        </th>
      </tr>
    </thead>
    <slot />
  </table>
</template>

<style>
@layer ui {
  .table {
    width: 100%;
  }
  .table.headless {
    position: relative;
  }
  @media screen {
    .table.headless thead {
      position: absolute;
      clip-path: inset(50%);
    }
  }
  .table.fixed {
    table-layout: fixed;
  }
  .table col {
    width: var(--wide);
  }
  .table :is(th, td) {
    padding: var(--s2);
    border-bottom: var(--line);
    vertical-align: baseline;
  }
  .table.lined :is(th, td) {
    padding-block: var(--s1);
    vertical-align: middle;
  }
  .table.lined :is(th, td):not(:last-child) {
    border-right: var(--line);
  }
  .table.filled tbody :is(th, td) {
    height: var(--row);
    overflow: hidden;
  }
  .table.filled tbody td {
    padding: 0;
  }
  .table.filled thead th {
    height: var(--w7);
    padding-block: var(--s2);
    vertical-align: top;
  }
  .table :is(th, td):first-child {
    padding-left: var(--edge);
  }
  .table thead th {
    padding-block: var(--s1);
    font-size: var(--small);
    border-bottom-color: var(--ink);
    vertical-align: bottom;
  }
  .table th.num {
    text-align: right;
  }
  .table .kind :is(th, td) {
    padding-block: var(--s1);
    background: var(--band);
    border-block: var(--ink-line);
  }
  .table .slab {
    font-size: var(--lead);
    text-decoration-color: var(--rule);
    overflow-wrap: anywhere;
  }
  .table .under {
    display: block;
    font-size: var(--small);
    overflow-wrap: anywhere;
  }
  .table .figure {
    font-size: var(--head);
  }
  .table.filled thead th:not(.target, .label) {
    color: var(--ink);
  }
  .table .target {
    background: var(--pencil-wash);
    color: var(--pencil);
  }
  .table .rival {
    color: var(--rival);
  }
  @media print {
    .table {
      min-width: 0 !important;
    }
  }
  @media (max-width: 1100px) {
    .table col {
      width: var(--narrow);
    }
  }
}
</style>
