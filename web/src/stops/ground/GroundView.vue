<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { deleteClientMutation, measureMutation, restoreClientMutation } from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import EditFault from '@/parts/EditFault.vue'
import { plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import BusinessForm from './BusinessForm.vue'
import CommunityList from './CommunityList.vue'
import GroundLeaves from './GroundLeaves.vue'
import PastePage from './PastePage.vue'
import ProposalLine from './ProposalLine.vue'
import { useBusinessForm } from './useBusinessForm'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const router = useRouter()
const measure = useMutation(measureMutation())
const remove = useMutation(deleteClientMutation())
const restore = useMutation(restoreClientMutation())
const undo = useUndo()
const busy = useBusy(() => props.client)

const { form, save, again, error } = useBusinessForm(
  () => props.client,
  () => props.ground,
)
const deleting = ref(false)

async function measureNow() {
  await save()
  const run = await measure.mutateAsync({ path: { client: props.client } }).catch(() => null)
  if (run) await router.push({ name: 'sheet', params: { client: props.client, page: props.page } })
}

async function deleteClient() {
  const path = { client: props.client }
  const name = props.ground.name
  const ok = await remove.mutateAsync({ path }).then(
    () => true,
    () => false,
  )
  if (!ok) return
  undo.offer(`${name} deleted`, () => restore.mutateAsync({ path }))
  await router.push('/')
}
</script>

<template>
  <main id="main">
    <div class="title">
      <h1>Ground</h1>
      <GroundLeaves :client="client" />
      <span class="soft">Fields are saved when you leave them.</span>
      <EditFault :fault="error" :again="again" />
      <NoticeLine :fault="measure.error.value" />
      <ActionButton main class="push" :disabled="busy || measure.isPending.value" @click="measureNow">
        Measure
      </ActionButton>
    </div>
    <ProposalLine :client="client" :ground="ground" />
    <BusinessForm v-model="form" @settled="save">
      <template #places>
        <CommunityList v-model="form.places" :client="client" @added="save" />
      </template>
      <template #business>
        <h2 class="mt-5">Pages</h2>
        <p class="mb-2">
          {{ plural(ground.pages.filter((p) => p.url).length, 'page') }} of the site.
          <router-link :to="{ name: 'site', params: { client } }"
            >What they are for, and what is missing</router-link
          >
        </p>
        <PastePage :client="client" :page="page" />
        <div class="end mt-8 soft flow gap-3 wrap">
          <ActionButton v-if="!deleting" quiet @click="deleting = true">Delete client</ActionButton>
          <template v-else>
            Delete {{ ground.name }} with its readings and targets? It can be undone for an hour.
            <ActionButton quiet @click="deleteClient">Delete {{ ground.name }}</ActionButton>
            <ActionButton quiet @click="deleting = false">Cancel</ActionButton>
          </template>
          <NoticeLine :fault="remove.error.value" />
        </div>
      </template>
    </BusinessForm>
  </main>
</template>

<style scoped src="./title.css"></style>
