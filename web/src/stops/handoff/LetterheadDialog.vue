<script setup lang="ts">
import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import {
  documentFileQueryKey,
  letterheadOptions,
  letterheadQueryKey,
  setLetterheadMutation,
} from '@/api/calls'
import type { SetLetterheadData } from '@/api/gen'
import ActionButton from '@/ui/ActionButton.vue'
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { named } from '@/ui/choices'
import DialogBox from '@/ui/DialogBox.vue'
import FieldLine from '@/ui/FieldLine.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref, watch } from 'vue'
import { chosenPicture } from '@/parts/picture'

/** What all documents are headed by: set once, for all clients. */
const open = defineModel<boolean>({ required: true })
type Letterhead = SetLetterheadData['body']
const { data, error } = useQuery(() => ({ ...letterheadOptions(), enabled: open.value }))
const typed = ref<Letterhead>({ name: '', signature: '', footer: '', logo: '', size: 'letter', tone: 'ink' })
/* The form is filled once it is opened: what is typed is not written over by what comes later. */
const filled = ref(false)
watch(
  [data, open],
  () => {
    if (!open.value) filled.value = false
    else if (data.value && !filled.value) {
      typed.value = { ...data.value }
      filled.value = true
    }
  },
  { immediate: true },
)
const saved = useMutation(setLetterheadMutation())
const cache = useQueryClient()
const picker = ref<HTMLInputElement>()

/** Takes the picture that was chosen; the program tells whether it is one. */
async function pick() {
  typed.value.logo = (await chosenPicture(picker.value)) ?? typed.value.logo
}

async function save() {
  const now = await saved.mutateAsync({ body: typed.value }).catch(() => null)
  if (!now) return
  cache.setQueryData(letterheadQueryKey(), now)
  await cache.invalidateQueries({
    predicate: ({ queryKey }) =>
      (queryKey[0] as { _id?: string } | undefined)?._id ===
      documentFileQueryKey({ path: { client: 0, document: 'plan' } })[0]._id,
  })
  open.value = false
}
</script>

<template>
  <DialogBox v-model="open" label="Your name and logo">
    <form v-if="filled || error" class="stacked gap-3" data-letterhead @submit.prevent="save">
      <h2 class="t-head flush">Your name and logo</h2>
      <p class="soft flush">They head every document, of all clients.</p>
      <NoticeLine v-if="error" :fault="error" />
      <FieldLine
        v-model="typed.name"
        label="Name"
        name="agency"
        maxlength="600"
        autocomplete="organization"
      />
      <label class="as-block soft"
        >Signature
        <textarea
          v-model="typed.signature"
          class="field"
          name="signature"
          rows="3"
          maxlength="600"
        ></textarea>
      </label>
      <FieldLine v-model="typed.footer" label="At the foot of each page" name="footer" maxlength="600" />
      <div class="flow gap-3 wrap">
        <img v-if="typed.logo" class="logo" alt="The logo" :src="`data:;base64,${typed.logo}`" />
        <ActionButton @click="picker?.click()">{{
          typed.logo ? 'Change the logo' : 'Add a logo'
        }}</ActionButton>
        <ActionButton v-if="typed.logo" quiet @click="typed.logo = ''">Remove it</ActionButton>
        <input
          ref="picker"
          class="unseen"
          type="file"
          name="logo"
          tabindex="-1"
          aria-label="Logo, a PNG or JPEG picture"
          accept="image/png,image/jpeg"
          @change="pick"
        />
      </div>
      <div class="flow gap-3 wrap">
        <ChoiceBox
          v-model="typed.size"
          label="Paper"
          :options="named(['letter', 'a4'] as const, (s) => (s === 'a4' ? 'A4' : 'Letter'))"
        />
        <ChoiceBox
          v-model="typed.tone"
          label="Color of headings"
          :options="
            named(
              ['ink', 'pencil', 'graphite'] as const,
              (t) => ({ ink: 'Ink headings', pencil: 'Blue headings', graphite: 'Gray headings' })[t],
            )
          "
        />
      </div>
      <NoticeLine v-if="saved.error.value" :fault="saved.error.value" />
      <div class="flow gap-3">
        <ActionButton main submit>Save</ActionButton>
        <ActionButton quiet @click="open = false">Close</ActionButton>
      </div>
    </form>
  </DialogBox>
</template>

<style scoped>
.logo {
  max-height: var(--s12);
  max-width: var(--w24);
}
</style>
