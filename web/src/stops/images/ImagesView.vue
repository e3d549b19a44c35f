<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { chooseMutation, imageNamesOptions, planOptions } from '@/api/calls'
import type { Choice, Ground, ImageRow } from '@/api/types'
import { computed, ref } from 'vue'
import { useEdit } from '@/parts/edit'
import CutLine from '@/parts/CutLine.vue'
import EditFault from '@/parts/EditFault.vue'
import { count, plural } from '@/parts/format'
import { namesApart } from '@/parts/pages'
import TypedField from '@/ui/TypedField.vue'
import { useUndo } from '@/parts/undo'
import DataTable, { type Column } from '@/ui/DataTable.vue'
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

const columns: Column[] = [
  { key: 'page', title: 'page', width: 'w18' },
  { key: 'old', title: 'old name', width: 'w30', narrow: 'w26' },
  { key: 'new', title: 'new name' },
  { key: 'alt', title: 'alt text' },
  { key: 'leave', unseen: 'Leave', width: 'w9' },
]
const names = computed(() => namesApart(plan.value?.pages ?? []))
const asked = (r: ImageRow) => r.name_key !== '' || r.alt_key !== ''
const rows = computed(() => (images.value?.rows ?? []).filter((r) => well.value || asked(r)))
const renames = computed(() =>
  (images.value?.rows ?? []).filter((r) => r.now && r.wanted && !r.dropped && !r.twice),
)
const added = computed(() => (images.value?.rows ?? []).filter((r) => !r.now && r.wanted && !r.dropped))
const tells = computed(() => {
  if (renames.value.length || !added.value.length)
    return renames.value.length === 1 ? 'file to rename' : 'files to rename'
  return added.value.length === 1 ? 'image to add' : 'images to add'
})
const fine = computed(() => images.value?.staying ?? 0)

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
  <main id="main" class="images">
    <div class="top">
      <PlanLeaves :client="client" />
      <span v-if="images"
        ><b class="figure">{{ renames.length || added.length }}</b>
        <span class="soft">{{ tells }}</span></span
      >
      <label v-if="fine"
        ><input v-model="well" type="checkbox" name="well" /> show {{ count(fine) }} that stay</label
      >
      <span class="space"></span>
      <ActionButton quiet :href="`/api/clients/${client}/plan/images.csv`">Save as CSV</ActionButton>
      <ActionButton v-if="renames.length" quiet :href="`/api/clients/${client}/plan/rename.sh`"
        >Save a rename script</ActionButton
      >
    </div>
    <p v-if="error || planError" class="mistake pad-2 edge" role="alert">
      {{ (error ?? planError)!.detail }}
    </p>
    <EditFault class="pad-2 edge" :fault="choose.error.value" :again="again" />
    <p v-if="isPending || (images && !plan && !planError)" class="soft pad-2 edge">Loading the images…</p>
    <p v-else-if="images && !rows.length" class="pad-2 edge">
      <template v-if="images.rows.length"
        >All {{ plural(fine, 'image') }} are named for what they show.</template
      >
      <template v-else>The images of measured pages will be listed here. Measure the pages first.</template>
    </p>
    <div v-else-if="images && plan" class="scroll-x">
      <CutLine
        v-if="well"
        class="pad-2 edge"
        :shown="images.rows.filter((r) => !asked(r)).length"
        :of="fine"
        what="images that stay"
      />
      <DataTable :columns="columns" fixed>
        <tbody>
          <tr
            v-for="r in rows"
            :key="r.page + r.now + r.name_key"
            :data-image="r.now || r.wanted"
            class="anywhere"
          >
            <td class="soft">{{ names.get(r.page) ?? '' }}</td>
            <td>
              <span v-if="r.now" class="mono" :class="{ soft: r.dropped }">{{ r.now }}</span>
              <span v-else class="pencil">a new image</span>
              <div v-if="r.verdict_says" class="soft t-small">{{ r.verdict_says }}</div>
            </td>
            <td>
              <TypedField
                v-if="r.name_key && !r.dropped"
                class="field mono penciled flat"
                name="new-name"
                :rows="r.wanted.length > 38 ? 2 : undefined"
                :value="r.wanted"
                :aria-label="`New name of ${r.now || 'a new image'}`"
                :save="(typed, was) => type(r.page, r.name_key, r.wanted, typed, was)"
              />
              <span v-else class="soft">{{
                r.dropped ? (r.now ? 'keeps its name' : 'is not added') : 'stays'
              }}</span>
              <div v-if="r.twice" class="mistake t-small">Another file has this name. Write another one.</div>
            </td>
            <td>
              <TypedField
                v-if="r.alt_key"
                class="field penciled flat"
                name="alt"
                :rows="2"
                :value="r.alt_wanted"
                :aria-label="`Alt text of ${r.now || 'a new image'}`"
                :save="(typed, was) => type(r.page, r.alt_key, r.alt_wanted, typed, was)"
              />
              <span v-else class="soft">{{ r.alt_now }}</span>
            </td>
            <td>
              <ActionButton v-if="r.name_key && r.now" quiet @click="leave(r)">
                {{ r.dropped ? 'Rename' : 'Leave' }}
              </ActionButton>
            </td>
          </tr>
        </tbody>
      </DataTable>
    </div>
  </main>
</template>

<style scoped src="../targets/top.css"></style>
<style scoped>
textarea.flat {
  resize: none;
  line-height: 1.35;
  background: none;
}
</style>
