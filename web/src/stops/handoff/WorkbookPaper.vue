<script setup lang="ts">
import DataTable from '@/ui/DataTable.vue'
import PaperSheet from '@/ui/PaperSheet.vue'
import { sheets } from './documents'

/** What the workbook holds: it is saved, not shown. */
const columns = [
  { key: 'sheet', title: 'sheet', width: 'w20' as const },
  { key: 'has', title: 'what is on it' },
]
</script>

<template>
  <PaperSheet data-workbook>
    <h1 class="flush">Workbook</h1>
    <p class="t-lead">Every figure that was measured or imported, with where it comes from.</p>
    <DataTable :columns="columns" fixed>
      <tbody>
        <tr v-for="s in sheets" :key="s.name">
          <th scope="row" class="plain bold">{{ s.name }}</th>
          <td>{{ s.has }}</td>
        </tr>
      </tbody>
    </DataTable>
  </PaperSheet>
</template>
