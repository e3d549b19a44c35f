<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { BookPhrase, BookRow, Ground } from '@/api/types'
import { computed } from 'vue'
import { count, figure, plural } from '@/parts/format'
import FamilyMembers from './FamilyMembers.vue'
import { gainOf, notCounted, searches, why } from './family'
import { isUnsure } from './filter'

/** A family of the book as a row; it unfolds its phrases and the sum of its estimate. */
const props = defineProps<{
  row: BookRow
  picked: boolean
  open: boolean
  paid: boolean
  otherShare: number
  alsoShare: number
  /** The families that are folded under it. */
  also: BookRow[]
  ground: Ground
  pageName: (id: number) => string
  addressOf: (id: number) => string
}>()
const emit = defineEmits<{
  fold: [key: string]
  lead: [key: string, text: string]
  place: [phrases: BookPhrase[], where: string]
  pick: [keys: string[], on: boolean]
  choose: [key: string, state: 'kept' | 'aside' | '']
}>()
/** What stands folded in the row. */
const folded = computed(() => {
  const forms = props.row.members.length - 1
  return [
    forms && plural(forms, 'other form'),
    props.also.length && plural(props.also.length, 'similar search', 'similar searches'),
  ]
    .filter(Boolean)
    .join(' and ')
})
const pageOf = () => (props.row.page_id ? props.pageName(props.row.page_id) : props.row.carrier)
</script>

<template>
  <div class="line first">
    <input
      type="checkbox"
      :aria-label="`Select ${row.members[0]!.text}`"
      :checked="picked"
      @change="emit('pick', [row.key], !picked)"
    />
    <span class="lead flow gap-2 one-line" :title="row.members[0]!.text">
      <span class="text">{{ row.members[0]!.text }}</span>
      <ActionButton
        v-if="row.members.length > 1 || also.length"
        quiet
        :aria-expanded="open"
        :title="folded"
        @click="emit('fold', row.key)"
      >
        +{{ row.members.length - 1 + also.length }}<span class="unseen">: {{ folded }}</span>
      </ActionButton>
    </span>
    <span class="num" :title="searches(row).area ? notCounted(row.members[0]!.area) : ''"
      ><span :class="{ soft: searches(row).area }">{{ searches(row).says }}</span>
      <small v-if="searches(row).area" class="soft">{{ searches(row).area }}</small></span
    >
    <span class="num">{{ figure(row.difficulty) }}</span>
    <span class="num">{{ figure(row.position) }}</span>
    <button
      class="quiet num gain figure t-lead to-right"
      type="button"
      title="How this was estimated"
      @click="emit('fold', row.key)"
    >
      {{ gainOf({ gain: row.row_gain }) }}
    </button>
    <span v-if="paid" class="num worth">{{ row.worth >= 1 ? ground.money + count(row.worth) : '–' }}</span>
    <span
      class="why t-small one-line"
      :class="isUnsure(row) || row.misspelled ? 'pencil' : 'soft'"
      :title="why(row)"
      >{{ why(row) }}</span
    >
    <span
      class="page one-line"
      :class="{ pencil: row.carrier && !row.page_id }"
      :title="row.carrier && !row.page_id ? `a new page: ${row.carrier}` : pageOf()"
    >
      <span v-if="row.conflict.length" class="stamp" title="Several pages are for it">{{
        row.conflict.length + 1
      }}</span>
      {{ pageOf() }}
    </span>
    <span class="acts to-right">
      <ActionButton v-if="row.kept" quiet @click="emit('choose', row.key, 'aside')"> Dismiss </ActionButton>
      <ActionButton v-else quiet @click="emit('choose', row.key, 'kept')">Keep</ActionButton>
    </span>
  </div>
  <FamilyMembers
    v-if="open"
    :row="row"
    :paid="paid"
    :other-share="otherShare"
    :also-share="alsoShare"
    :also="also"
    :ground="ground"
    :address-of="addressOf"
    @choose="(key, state) => emit('choose', key, state)"
    @lead="(text) => emit('lead', row.key, text)"
    @place="(phrases, where) => emit('place', phrases, where)"
  />
</template>

<style scoped src="./line.css"></style>
<style scoped>
.first {
  height: calc(var(--row) - var(--hair));
}
.lead {
  font-weight: 500;
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
}
.page .stamp {
  transform: none;
  line-height: 1.2;
  padding: 0 var(--s1);
}
</style>
