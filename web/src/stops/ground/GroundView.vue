<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { deleteClientMutation, measureMutation } from '@/api/calls'
import { useBusy } from '@/api/progress'
import type { Ground } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import EditFault from '@/parts/EditFault.vue'
import { plural } from '@/parts/format'
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
  await remove.mutateAsync({ path: { client: props.client } })
  await router.push('/')
}
</script>

<template>
  <main>
    <div class="title">
      <h1>Ground</h1>
      <GroundLeaves :client="client" />
      <span class="soft">Fields are saved when you leave them.</span>
      <EditFault :fault="error" :again="again" />
      <NoticeLine :fault="measure.error.value" />
      <button
        class="press main"
        type="button"
        :disabled="busy || measure.isPending.value"
        @click="measureNow"
      >
        Measure
      </button>
    </div>
    <ProposalLine :client="client" :ground="ground" />
    <BusinessForm v-model="form" @settled="save">
      <template #places>
        <CommunityList v-model="form.places" :client="client" @added="save" />
      </template>
      <template #business>
        <h2 class="pages">Pages</h2>
        <p class="count">
          {{ plural(ground.pages.filter((p) => p.url).length, 'page') }} of the site.
          <router-link :to="{ name: 'site', params: { client } }"
            >What they are for, and what is missing</router-link
          >
        </p>
        <PastePage :client="client" :page="page" />
        <div class="end">
          <button v-if="!deleting" class="link" type="button" @click="deleting = true">Delete client</button>
          <template v-else>
            Delete {{ ground.name }} with its readings and targets? This cannot be undone.
            <button class="link" type="button" @click="deleteClient">Delete {{ ground.name }}</button>
            <button class="link" type="button" @click="deleting = false">Cancel</button>
          </template>
        </div>
      </template>
    </BusinessForm>
  </main>
</template>

<style scoped src="./title.css"></style>
<style scoped>
.title .press {
  margin-left: auto;
}
.mistake {
  margin: 0;
}
.pages {
  font-size: 16.5px;
  margin: 26px 0 6px;
}
.count {
  margin: 0 0 10px;
}
.end {
  margin-top: 30px;
  color: var(--ink-soft);
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
}
</style>
