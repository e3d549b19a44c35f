<script setup lang="ts">
import { computed } from 'vue'
import type { Column } from '@/api/client'
import { facts, faults } from './pageFacts'

/** All there is on a page, as an owner would be shown it. */
const props = defineProps<{ column: Column }>()
const list = computed(() => (props.column.details ? facts(props.column, props.column.details) : []))
const grave = computed(() => faults(props.column).filter((f) => f.first))
</script>

<template>
  <p v-if="grave.length" class="grave">
    <span v-for="f in grave" :key="f.says" class="stamp">{{ f.says }}</span>
  </p>
  <dl data-document>
    <template v-for="f in list" :key="f.name">
      <dt class="soft">{{ f.name }}</dt>
      <dd>
        <div v-for="s in f.says" :key="s">{{ s }}</div>
      </dd>
    </template>
  </dl>
</template>

<style scoped>
.grave {
  display: flex;
  gap: 10px;
  margin: 2px 0 12px;
}
dl {
  display: grid;
  grid-template-columns: 108px 1fr;
  margin: 0;
}
dt,
dd {
  margin: 0;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}
</style>
