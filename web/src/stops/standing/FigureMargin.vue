<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { ref } from 'vue'
import { typeFigureMutation } from '@/api/calls'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import { day, figure as figureText } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import ActionButton from '@/ui/ActionButton.vue'
import FieldLine from '@/ui/FieldLine.vue'
import SideMargin from '@/ui/SideMargin.vue'
import { type SiteFigure, numberOf } from './figures'

/** A figure of a site with its former ones, and a line to type a newer one: none replaces an older one. */
const props = defineProps<{ client: number; figure: SiteFigure }>()
defineEmits<{ close: [] }>()
const type = useMutation(typeFigureMutation())
const undo = useUndo()
const edit = useEdit()
const value = ref('')
const source = ref('')
const takenOn = ref('')
const bad = ref(false)

async function put(n: number | null, says: string) {
  const path = { client: props.client, domain: props.figure.site.domain }
  const of = props.figure.row.figure!
  const was = { value: props.figure.cell.source.startsWith('as the') ? null : props.figure.cell.value }
  const body = { ...of, value: n, source: source.value, taken_on: takenOn.value }
  const ok = await edit.make(() => type.mutateAsync({ path, body: { ...body, was } }))
  if (!ok) return
  value.value = ''
  if (n !== null)
    undo.offer(says, () => type.mutateAsync({ path, body: { ...body, value: null, was: { value: n } } }))
}
async function save() {
  const n = numberOf(value.value)
  bad.value = n === null || !Number.isFinite(n)
  if (!bad.value) await put(n, 'Saved')
}
</script>

<template>
  <SideMargin
    :title="figure.row.name"
    :label="`${figure.row.name} of ${figure.site.name}`"
    :shows="() => figure.row.key + figure.site.domain"
    @close="$emit('close')"
  >
    <template #head>
      <p class="flush soft">{{ figure.site.name }}{{ figure.site.chain ? ', of the whole country' : '' }}</p>
    </template>
    <section>
      <p v-if="figure.cell.text" class="flush">
        <b class="slab t-title">{{ figure.cell.text }}</b> <span class="soft">{{ figure.cell.source }}</span>
      </p>
      <p v-else class="flush soft">Not known. Type it here, or import a file that has it.</p>
      <p v-if="figure.row.target" class="flush pencil">Target: {{ figure.row.target }}</p>
    </section>
    <section v-if="figure.cell.former.length">
      <h3>Before</h3>
      <ul class="flush">
        <li v-for="f in figure.cell.former" :key="f.on + f.source" class="flow gap-2 on-base">
          <b>{{ figureText(f.value) }}</b>
          <span class="soft">{{ f.source || 'typed' }}, {{ day(f.on) }}</span>
        </li>
      </ul>
    </section>
    <form class="mt-3" @submit.prevent="save">
      <h3>A newer figure</h3>
      <FieldLine v-model="value" label="Figure" name="figure_value" inputmode="decimal" />
      <FieldLine
        v-model="source"
        label="Source"
        name="figure_source"
        placeholder="who says so"
        maxlength="200"
      />
      <FieldLine
        v-model="takenOn"
        label="Day"
        name="figure_day"
        placeholder="today, or 2026-11-26"
        maxlength="10"
      />
      <p v-if="bad" class="mistake flush" role="alert">This is no number. Type one, such as 1,200.</p>
      <EditFault :fault="type.error.value" :again="edit.again.value" />
      <p class="flow gap-4 on-mid mt-2">
        <ActionButton submit main :disabled="type.isPending.value || !value.trim()">Save</ActionButton>
        <ActionButton
          v-if="figure.cell.value !== null && !figure.cell.source.startsWith('as the')"
          quiet
          @click="put(null, 'Removed')"
          >Remove the newest</ActionButton
        >
      </p>
    </form>
  </SideMargin>
</template>
