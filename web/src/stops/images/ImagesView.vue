<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Ground, ImageRow } from '@/api/client'
import { useImageNames, usePlan, usePlanChanges } from '@/api/plan'
import { plural } from '@/parts/format'
import { pageName } from '@/parts/pages'
import { useUndo } from '@/parts/undo'
import PlanLeaves from '../targets/PlanLeaves.vue'

/** The images of all pages: what they are called, what they should be called, and their alt texts. */
const props = defineProps<{ client: number; ground: Ground }>()
const { data: images, error, isPending } = useImageNames(() => props.client)
const { data: plan } = usePlan(() => props.client)
const { choose } = usePlanChanges(() => props.client)
const undo = useUndo()
const well = ref(false)

const names = computed(() => new Map(plan.value?.pages.map((p) => [p.key, pageName(p.page)]) ?? []))
const asked = (r: ImageRow) => r.name_key !== '' || r.alt_key !== ''
const rows = computed(() => (images.value?.rows ?? []).filter((r) => well.value || asked(r)))
const renames = computed(() =>
  (images.value?.rows ?? []).filter((r) => r.now && r.wanted && !r.dropped && !r.twice),
)
const fine = computed(() => (images.value?.rows ?? []).filter((r) => !asked(r)).length)

async function say(r: ImageRow, key: string, value: string, was: string, proposed: boolean, event: Event) {
  const typed = value.trim()
  const field = event.target as HTMLInputElement
  if (typed === was) return
  const before = proposed ? { state: 'open' as const } : { state: 'changed' as const, value: was }
  const ok = await choose
    .mutateAsync([{ page: r.page, key, ...(typed ? { state: 'changed', value: typed } : { state: 'open' }) }])
    .catch(() => null)
  if (ok) undo.offer(`Name: ${typed || was}`, () => choose.mutateAsync([{ page: r.page, key, ...before }]))
  else field.focus()
}

async function leave(r: ImageRow) {
  const state = r.dropped ? 'open' : 'dropped'
  const before = r.dropped ? ('dropped' as const) : r.changed ? ('changed' as const) : ('open' as const)
  const ok = await choose.mutateAsync([{ page: r.page, key: r.name_key, state }]).catch(() => null)
  if (ok)
    undo.offer(`${r.dropped ? 'Rename' : 'Leave'} ${r.now}`, () =>
      choose.mutateAsync([
        {
          page: r.page,
          key: r.name_key,
          state: before,
          ...(before === 'changed' ? { value: r.wanted } : {}),
        },
      ]),
    )
}
</script>

<template>
  <main class="images">
    <div class="top">
      <PlanLeaves :client="client" />
      <span v-if="images"
        ><b class="figure">{{ renames.length }}</b>
        <span class="soft">{{ renames.length === 1 ? 'file to rename' : 'files to rename' }}</span></span
      >
      <label v-if="fine"
        ><input v-model="well" type="checkbox" name="well" /> show {{ fine }} that stay</label
      >
      <span class="space"></span>
      <a class="link" :href="`/api/clients/${client}/plan/images.csv`">Save as CSV</a>
      <a v-if="renames.length" class="link" :href="`/api/clients/${client}/plan/rename.sh`"
        >Save a rename script</a
      >
    </div>
    <p v-if="error || choose.error.value" class="mistake said" role="alert">
      {{ (choose.error.value ?? error)!.message }}
    </p>
    <p v-if="isPending" class="soft said">Loading the images…</p>
    <p v-else-if="images && !rows.length" class="said">
      <template v-if="images.rows.length"
        >All {{ plural(images.rows.length, 'image') }} are named for what they show.</template
      >
      <template v-else>The images of measured pages will be listed here. Measure the pages first.</template>
    </p>
    <table v-else-if="images">
      <thead>
        <tr class="soft">
          <th scope="col">page</th>
          <th scope="col">old name</th>
          <th scope="col">new name</th>
          <th scope="col">alt text</th>
          <th scope="col"></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="r in rows"
          :key="r.page + r.now + r.name_key"
          :data-image="r.now || r.wanted"
          :class="{ left: r.dropped }"
        >
          <td class="soft">{{ names.get(r.page) ?? '' }}</td>
          <td>
            <span v-if="r.now" class="mono old">{{ r.now }}</span>
            <span v-else class="pencil">a new image</span>
            <div v-if="r.verdict_says" class="soft small">{{ r.verdict_says }}</div>
          </td>
          <td>
            <input
              v-if="r.name_key && !r.dropped"
              class="field mono penciled"
              name="new-name"
              :value="r.wanted"
              :aria-label="`New name of ${r.now || 'a new image'}`"
              @change="
                say(r, r.name_key, ($event.target as HTMLInputElement).value, r.wanted, !r.changed, $event)
              "
            />
            <span v-else class="soft">{{ r.dropped ? 'keeps its name' : 'stays' }}</span>
            <div v-if="r.twice" class="mistake small">Another file has this name. Write another one.</div>
          </td>
          <td>
            <input
              v-if="r.alt_key"
              class="field penciled"
              name="alt"
              :value="r.alt_wanted"
              :aria-label="`Alt text of ${r.now || 'a new image'}`"
              @change="
                say(
                  r,
                  r.alt_key,
                  ($event.target as HTMLInputElement).value,
                  r.alt_wanted,
                  !r.alt_changed,
                  $event,
                )
              "
            />
            <span v-else class="soft">{{ r.alt_now }}</span>
          </td>
          <td>
            <button v-if="r.name_key && r.now" class="link" type="button" @click="leave(r)">
              {{ r.dropped ? 'Rename' : 'Leave' }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </main>
</template>

<style scoped src="../targets/top.css"></style>
<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 5px 10px;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
  overflow-wrap: anywhere;
}
th:first-child,
td:first-child {
  padding-left: var(--edge);
  width: 14%;
}
th:nth-child(2) {
  width: 21%;
}
th:nth-child(3) {
  width: 32%;
}
th:last-child {
  width: 84px;
}
tr:nth-of-type(even) td {
  background: var(--band);
}
thead th {
  font-size: 12px;
  padding: 3px 10px;
}
.small {
  font-size: 12.5px;
}
.left .old {
  color: var(--ink-soft);
}
td .field {
  width: 100%;
}
</style>
