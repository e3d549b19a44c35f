<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Column, Placement, Sheet } from '@/api/types'
import { ref } from 'vue'
import { count, figure } from '@/parts/format'
import PlacementMark from '@/parts/PlacementMark.vue'
import { groups } from '@/parts/slots'
import SheetCell from './SheetCell.vue'
import type { Margin } from './margin'

const props = defineProps<{ sheet: Sheet; rivals: Column[]; margin: Margin; narrow: boolean }>()

const total = (p?: Placement) => (p ? p.exact.total + p.loose.total : 0)
/* The families whose members are shown. */
const open = ref(new Set<string>())
function fold(key: string) {
  const next = new Set(open.value)
  if (!next.delete(key)) next.add(key)
  open.value = next
}
/** A member's exact occurrences as a mark: it has no loose ones of its own. */
const exactly = (c: Column, f: number, m: number): Placement | undefined => {
  const exact = c.families[f]?.members[m]
  const nowhere = Object.fromEntries(Object.keys(exact ?? {}).map((slot) => [slot, 0])) as Placement['loose']
  return exact && { exact, loose: nowhere, in_copy: 0 }
}
const stands = (c: Column, f: number, m: number) =>
  Object.entries(c.families[f]?.members[m] ?? {}).some(([slot, n]) => slot !== 'links' && n > 0)

/** The members to tell: those that are wanted, and those that stand exactly on some page. */
const told = (f: number) =>
  props.sheet.families[f]!.members.map((m, i) => ({ m, i })).filter(
    ({ m, i }) => !i || m.wanted || props.sheet.columns.some((c) => stands(c, f, i)),
  )

/** The groups' shares of the mark's width. */
const widths: Record<string, number> = { page: 36, head: 23, text: 36, pics: 23 }
</script>

<template>
  <tbody>
    <tr v-if="sheet.families.length" class="legend">
      <th scope="row" class="soft">where it is</th>
      <td
        v-for="i in sheet.columns.length + 1"
        :key="i"
        :class="{ target: i === 2, rival: sheet.columns[i - 2]?.role === 'rival' }"
      >
        <span v-if="!narrow || i <= 2" class="groups flow t-small">
          <span v-for="g in groups" :key="g.name" :style="{ flexGrow: widths[g.name] }">{{ g.name }}</span>
        </span>
      </td>
    </tr>
    <template v-for="(family, f) in sheet.families" :key="family.key">
      <tr>
        <th scope="row" :title="family.members.map((m) => m.text).join('\n')">
          <span class="name flow on-mid gap-2">
            <span class="phrase grow">{{ family.lead }}</span>
            <ActionButton
              v-if="family.members.length > 1"
              quiet
              :aria-expanded="open.has(family.key)"
              :title="open.has(family.key) ? 'Hide its other forms' : 'Show its other forms'"
              @click="fold(family.key)"
            >
              +{{ family.members.length - 1 }}
            </ActionButton>
          </span>
        </th>
        <template v-for="(c, i) in sheet.columns" :key="i">
          <td :class="c.role">
            <SheetCell
              v-if="c.reading_id"
              :at="margin.shows('phrase', i, family.lead)"
              data-cell="phrase"
              :data-column="i"
              :data-phrase="family.lead"
              :data-figure="total(c.families[f])"
              :aria-label="`${family.lead} on ${c.name}: ${total(c.families[f])}`"
              @click="margin.open('phrase', i, family.lead)"
            >
              <PlacementMark
                v-if="!narrow || i === 0"
                :placement="c.families[f]"
                :tone="c.role === 'rival' ? 'rival' : 'ink'"
              />
              <span class="push">{{ count(total(c.families[f])) }}</span>
            </SheetCell>
          </td>
          <td v-if="i === 0" class="target">
            <SheetCell plain>
              <PlacementMark :wanted="sheet.target.wanted[f]?.slots" target />
              <span class="push">{{ sheet.target.wanted[f]?.slots.length || '' }}</span>
            </SheetCell>
          </td>
        </template>
      </tr>
      <template v-if="open.has(family.key)">
        <tr v-for="{ m, i } in told(f)" :key="m.text" class="member" data-member>
          <th scope="row" :title="m.also ? `${m.text}: also searched, with other words of hiring` : m.text">
            <span class="name flow on-mid gap-2">
              <span class="phrase grow">{{ m.text }}</span>
              <span class="soft">{{ figure(m.searches) }}</span>
            </span>
          </th>
          <template v-for="(c, x) in sheet.columns" :key="x">
            <td :class="c.role">
              <SheetCell v-if="c.reading_id" plain>
                <PlacementMark
                  v-if="!narrow || x === 0"
                  :placement="exactly(c, f, i)"
                  :tone="c.role === 'rival' ? 'rival' : 'ink'"
                />
                <span class="push">{{ count(exactly(c, f, i)?.exact.total ?? 0) }}</span>
              </SheetCell>
            </td>
            <td v-if="x === 0" class="target">
              <SheetCell v-if="i && m.wanted" plain :class="stands(c, f, i) ? 'soft' : 'pencil'">
                <span class="one-line">{{ stands(c, f, i) ? 'stands exactly' : 'once, exactly' }}</span>
              </SheetCell>
            </td>
          </template>
        </tr>
      </template>
    </template>
    <tr>
      <th scope="row">Made of</th>
      <template v-for="(c, i) in sheet.columns" :key="i">
        <td :class="c.role">
          <SheetCell v-if="c.reading_id" :at="margin.shows('made', i)" @click="margin.open('made', i)">
            <span class="one-line">{{ narrow && i ? 'words' : 'its top words' }}</span>
          </SheetCell>
        </td>
        <td v-if="i === 0" class="target">
          <SheetCell v-if="rivals.length" @click="margin.open('made', 0)">
            <span class="one-line">what rivals share</span>
          </SheetCell>
        </td>
      </template>
    </tr>
    <tr v-if="!sheet.families.length">
      <th scope="row" class="soft">no phrases yet</th>
      <td :colspan="sheet.columns.length + 1"></td>
    </tr>
  </tbody>
</template>

<style scoped>
.legend td,
.legend th {
  height: var(--w4);
}
/* A phrase is never cut: it is what the row is about. */
.phrase {
  line-height: 1.2;
  overflow-wrap: anywhere;
}
.member th,
.member td {
  height: var(--w4);
}
.member th {
  padding-left: var(--s6);
  font-size: var(--small);
  color: var(--ink-soft);
}
.groups {
  gap: 6%;
  margin: 0 calc(var(--s2) + 3ch) 0 var(--s2);
  max-width: var(--w18);
  line-height: 1.3;
}
.groups span {
  flex-basis: 0;
  border-bottom: var(--hair) solid currentColor;
}
</style>
