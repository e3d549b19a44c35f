<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { chooseMutation, imageNamesOptions, planOptions } from '@/api/calls'
import type { Choice, Ground, ImageRow } from '@/api/types'
import { computed, ref } from 'vue'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { plural } from '@/parts/format'
import { namesApart } from '@/parts/pages'
import TypedField from '@/parts/TypedField.vue'
import { useUndo } from '@/parts/undo'
import PlanLeaves from '../targets/PlanLeaves.vue'

/** The images of all pages: what they are called, what they should be called, and their alt texts. */
const props = defineProps<{ client: number; ground: Ground }>()
const {
  data: images,
  error,
  isPending,
} = useQuery(() => imageNamesOptions({ path: { client: props.client } }))
/* What was said of names and alt texts, so nothing can be typed before it is there. */
const { data: plan, error: planError } = useQuery(() => planOptions({ path: { client: props.client } }))
const choose = useMutation(chooseMutation())
const undo = useUndo()
const { make, again } = useEdit()
const well = ref(false)

const names = computed(() => namesApart(plan.value?.pages ?? []))
const asked = (r: ImageRow) => r.name_key !== '' || r.alt_key !== ''
const rows = computed(() => (images.value?.rows ?? []).filter((r) => well.value || asked(r)))
const renames = computed(() =>
  (images.value?.rows ?? []).filter((r) => r.now && r.wanted && !r.dropped && !r.twice),
)
const fine = computed(() => (images.value?.rows ?? []).filter((r) => !asked(r)).length)

/** What is said of a name or an alt text by now. */
function saidOf(page: string, key: string): Choice {
  for (const t of plan.value?.targets ?? [])
    for (const p of t.page === page ? t.parts : []) if (p.key === key) return { ...p.choice }
  return { state: 'open' }
}

async function say(page: string, key: string, choice: Choice, says: string, from?: Choice) {
  let was = from ?? saidOf(page, key)
  const ok = await make((told) => {
    if (told) was = saidOf(page, key)
    return choose.mutateAsync({
      path: { client: props.client },
      body: { said: [{ page, key, ...choice, was }] },
    })
  })
  if (ok)
    undo.offer(says, () =>
      choose.mutateAsync({
        path: { client: props.client },
        body: { said: [{ page, key, ...was, was: choice }] },
      }),
    )
  return ok !== null
}

/** Takes what was typed over what stood in a field; an empty one is the rule's again. */
function type(page: string, key: string, shown: string, typed: string, from: string) {
  const choice: Choice = typed ? { state: 'changed', value: typed } : { state: 'open' }
  const since: Choice | undefined = from === shown ? undefined : { state: 'changed', value: from }
  return say(page, key, choice, `Name: ${typed || from}`, since)
}

const leave = (r: ImageRow) =>
  say(
    r.page,
    r.name_key,
    { state: r.dropped ? 'open' : 'dropped' },
    `${r.dropped ? 'Rename' : 'Leave'} ${r.now}`,
  )
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
    <p v-if="error || planError" class="mistake said" role="alert">{{ (error ?? planError)!.detail }}</p>
    <EditFault class="said" :fault="choose.error.value" :again="again" />
    <p v-if="isPending || (images && !plan && !planError)" class="soft said">Loading the images…</p>
    <p v-else-if="images && !rows.length" class="said">
      <template v-if="images.rows.length"
        >All {{ plural(images.rows.length, 'image') }} are named for what they show.</template
      >
      <template v-else>The images of measured pages will be listed here. Measure the pages first.</template>
    </p>
    <table v-else-if="images && plan">
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
            <TypedField
              v-if="r.name_key && !r.dropped"
              class="field mono penciled"
              name="new-name"
              :rows="r.wanted.length > 38 ? 2 : undefined"
              :value="r.wanted"
              :aria-label="`New name of ${r.now || 'a new image'}`"
              :save="(typed, was) => type(r.page, r.name_key, r.wanted, typed, was)"
            />
            <span v-else class="soft">{{
              r.dropped ? (r.now ? 'keeps its name' : 'is not added') : 'stays'
            }}</span>
            <div v-if="r.twice" class="mistake small">Another file has this name. Write another one.</div>
          </td>
          <td>
            <TypedField
              v-if="r.alt_key"
              class="field penciled"
              name="alt"
              :rows="2"
              :value="r.alt_wanted"
              :aria-label="`Alt text of ${r.now || 'a new image'}`"
              :save="(typed, was) => type(r.page, r.alt_key, r.alt_wanted, typed, was)"
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
textarea.field {
  resize: none;
  line-height: 1.35;
  background: none;
}
</style>
