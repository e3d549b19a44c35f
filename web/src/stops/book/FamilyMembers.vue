<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { BookPhrase, BookRow, Ground } from '@/api/types'
import { figure } from '@/parts/format'
import { alsoSum, areas, gainOf, mapPack, notCounted, sum, worth } from './family'

/** What a family unfolds: how its gain is worked out, a conflict, and its phrases. */
defineProps<{
  row: BookRow
  paid: boolean
  otherShare: number
  alsoShare: number
  /** The families that are folded under it. */
  also: BookRow[]
  ground: Ground
  addressOf: (id: number) => string
}>()
const emit = defineEmits<{
  lead: [text: string]
  place: [phrases: BookPhrase[], where: string]
  choose: [key: string, state: 'kept' | 'aside' | '']
}>()
</script>

<template>
  <p class="sum soft flush" :title="sum(row, otherShare)">{{ sum(row, otherShare) }}</p>
  <p v-if="row.volume > 0" class="sum soft flush" :title="mapPack(row)">{{ mapPack(row) }}</p>
  <p v-if="row.worth > 0" class="sum soft flush" :title="worth(row, ground)">{{ worth(row, ground) }}</p>
  <p v-if="row.conflict.length" class="sum mistake flush">
    {{ row.conflict.length + 1 }} pages are for this family:
    {{ [row.page_id, ...row.conflict].map(addressOf).join(', ') }}. Choose one of them.
  </p>
  <div v-for="(m, i) in row.members" :key="m.id" class="line member soft">
    <span class="text" :title="m.text">{{ m.text }}</span>
    <span
      class="num"
      :class="{ off: m.volume !== null && !m.counts }"
      :title="m.counts ? '' : notCounted(m.area)"
      >{{ figure(m.volume) }}
      <small v-if="m.volume !== null && m.area" class="t-small bare">{{ areas[m.area] }}</small></span
    >
    <span class="num">{{ figure(m.difficulty) }}</span>
    <span class="num">{{ figure(m.position) }}</span>
    <span
      class="pencil exact t-small to-right"
      :class="{ paid }"
      title="Must stand on the page exactly, once"
      >{{ row.wanted.includes(m.text) ? (paid ? 'exactly once' : 'exact') : '' }}</span
    >
    <span v-if="!i">lead</span>
    <ActionButton v-else quiet class="to-left" @click="emit('lead', m.text)">Make it the lead</ActionButton>
    <ActionButton v-if="m.with" quiet class="to-left" @click="emit('place', [m], '')">
      Back to the rule
    </ActionButton>
    <ActionButton
      v-else-if="row.members.length > 1"
      quiet
      class="to-left"
      @click="emit('place', [m], m.text)"
    >
      Separate
    </ActionButton>
  </div>
  <template v-if="also.length">
    <p class="sum soft flush">{{ alsoSum(row, also, alsoShare) }}</p>
    <div v-for="f in also" :key="f.key" class="line member soft" data-also>
      <span class="text" :title="f.members[0]!.text"
        >{{ f.members[0]!.text
        }}<template v-if="f.members.length > 1"> +{{ f.members.length - 1 }}</template></span
      >
      <span
        class="num"
        :class="{ off: f.uncounted > 0 }"
        :title="f.uncounted ? notCounted(f.members[0]!.area) : ''"
        >{{ figure(f.uncounted || f.members[0]!.volume) }}
        <small v-if="f.members[0]!.area" class="t-small bare">{{ areas[f.members[0]!.area] }}</small></span
      >
      <span class="num">{{ figure(f.difficulty) }}</span>
      <span class="num">{{ figure(f.position) }}</span>
      <span class="num">{{ gainOf(f) }}</span>
      <span v-if="paid" class="worth"></span>
      <span class="pencil" title="Must stand on the page exactly, once">{{
        row.wanted.includes(f.members[0]!.text) ? 'exactly once' : ''
      }}</span>
      <ActionButton quiet class="to-left" @click="emit('choose', f.key, 'aside')">Dismiss</ActionButton>
    </div>
  </template>
</template>

<style scoped src="./line.css"></style>
<style scoped>
.sum {
  height: var(--w3);
  padding: 0 var(--s3) 0 calc(var(--edge) + var(--s8));
}
.sum,
.text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.member {
  height: var(--w3);
}
.member .text {
  grid-column: 1 / span 2;
  padding-left: var(--s8);
}
.exact.paid {
  grid-column: span 2;
}
.off {
  text-decoration: line-through;
  text-decoration-color: var(--rule);
}
small {
  display: inline-block;
}
@media (max-width: 1100px) {
  .member .text {
    padding-left: 0;
  }
}
</style>
