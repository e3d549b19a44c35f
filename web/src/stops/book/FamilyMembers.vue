<script setup lang="ts">
import type { BookPhrase, BookRow, Ground } from '@/api/client'
import { figure } from '@/parts/format'
import { mapPack, sum, worth } from './family'

/** What a family unfolds: how its gain is worked out, a conflict, and its phrases. */
defineProps<{
  row: BookRow
  paid: boolean
  otherShare: number
  ground: Ground
  addressOf: (id: number) => string
}>()
const emit = defineEmits<{ lead: [text: string]; place: [phrases: BookPhrase[], where: string] }>()
</script>

<template>
  <p class="sum soft" :title="sum(row, otherShare)">{{ sum(row, otherShare) }}</p>
  <p v-if="row.volume > 0" class="sum soft" :title="mapPack(row)">{{ mapPack(row) }}</p>
  <p v-if="row.worth > 0" class="sum soft" :title="worth(row, ground)">{{ worth(row, ground) }}</p>
  <p v-if="row.conflict.length" class="sum mistake">
    {{ row.conflict.length + 1 }} pages are for this family:
    {{ [row.page_id, ...row.conflict].map(addressOf).join(', ') }}. Choose one of them.
  </p>
  <div v-for="(m, i) in row.members" :key="m.id" class="line member">
    <span class="text" :title="m.text">{{ m.text }}</span>
    <span class="num">{{ figure(m.volume) }}</span>
    <span class="num">{{ figure(m.difficulty) }}</span>
    <span class="num">{{ figure(m.position) }}</span>
    <span></span>
    <span v-if="paid" class="worth"></span>
    <span v-if="!i">lead</span>
    <button v-else class="link" type="button" @click="emit('lead', m.text)">Make it the lead</button>
    <button v-if="m.with" class="link" type="button" @click="emit('place', [m], '')">Back to the rule</button>
    <button v-else-if="row.members.length > 1" class="link" type="button" @click="emit('place', [m], m.text)">
      Separate
    </button>
  </div>
</template>

<style scoped src="./line.css"></style>
<style scoped>
.sum {
  margin: 0;
  height: 26px;
  padding: 0 14px 0 calc(var(--edge) + 32px);
}
.sum,
.text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.member {
  height: 26px;
  color: var(--ink-soft);
}
.member .text {
  grid-column: 1 / span 2;
  padding-left: 32px;
}
.link {
  text-align: left;
}
@media (max-width: 1100px) {
  .member .text {
    padding-left: 0;
  }
}
</style>
