<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Ground } from '@/api/client'
import { useChanges, useClients } from '@/api/queries'
import { count } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { useUndo } from '@/parts/undo'
import { toBusiness, toForm } from './business'
import BusinessForm from './BusinessForm.vue'
import PastePage from './PastePage.vue'

const props = defineProps<{ client: number; page: number; ground: Ground }>()
const router = useRouter()
const { saveGround, measure } = useChanges(() => props.client)
const { remove } = useClients()
const undo = useUndo()

const form = ref(toForm(props.ground))
const saved = ref(JSON.stringify(form.value))
const changed = computed(() => JSON.stringify(form.value) !== saved.value)
const deleting = ref(false)

/* What was saved elsewhere is shown, unless something is being typed here. */
watch(
  () => props.ground,
  (ground) => {
    if (changed.value) return
    form.value = toForm(ground)
    saved.value = JSON.stringify(form.value)
  },
)

/** Saves when a field is left. What cannot be saved stays as it was typed. */
async function save() {
  if (!changed.value || saveGround.isPending.value) return
  const before = toBusiness(JSON.parse(saved.value))
  const sent = JSON.stringify(form.value)
  const ground = await saveGround.mutateAsync(toBusiness(form.value)).catch(() => null)
  if (!ground) return
  saved.value = sent
  if (JSON.stringify(form.value) === sent) {
    form.value = toForm(ground)
    saved.value = JSON.stringify(form.value)
  }
  undo.offer('Saved', async () => {
    const back = await saveGround.mutateAsync(before)
    form.value = toForm(back)
    saved.value = JSON.stringify(form.value)
  })
}

async function measureNow() {
  await save()
  const run = await measure.mutateAsync().catch(() => null)
  if (run) await router.push({ name: 'sheet', params: { client: props.client, page: props.page } })
}

async function deleteClient() {
  await remove.mutateAsync(props.client)
  await router.push('/')
}
</script>

<template>
  <main>
    <div class="title">
      <h1>Ground</h1>
      <span class="soft">Everything is saved as you leave a field.</span>
      <p v-if="saveGround.error.value" class="mistake" role="alert">{{ saveGround.error.value.message }}</p>
      <p v-if="measure.error.value" class="mistake" role="alert">{{ measure.error.value.message }}</p>
      <button class="press main" type="button" :disabled="measure.isPending.value" @click="measureNow">
        Measure
      </button>
    </div>
    <BusinessForm v-model="form" @settled="save">
      <template #business>
        <h2 class="pages">Pages</h2>
        <ul>
          <li v-for="p in ground.pages" :key="p.id">
            <span>{{ p.kind }}</span>
            <template v-if="p.words !== null">
              <span class="num figure">{{ count(p.words) }}</span>
              <TallyStrokes :words="p.words" :write="p.to_write ?? 0" :height="14" />
            </template>
            <span v-else class="pencil">not measured yet</span>
          </li>
        </ul>
        <PastePage :client="client" :page="page" />
        <div class="end">
          <button v-if="!deleting" class="link" type="button" @click="deleting = true">
            Delete this client
          </button>
          <template v-else>
            Its readings and targets go too.
            <button class="link" type="button" @click="deleteClient">Delete for good</button>
            <button class="link" type="button" @click="deleting = false">Keep it</button>
          </template>
        </div>
      </template>
    </BusinessForm>
  </main>
</template>

<style scoped>
.title {
  display: flex;
  gap: 18px;
  align-items: center;
  padding: 12px var(--edge);
  border-bottom: 1px solid var(--ink);
}
h1 {
  font-size: 21px;
  margin: 0;
}
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
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 12px;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  padding: 6px 2px;
}
.end {
  margin-top: 30px;
  color: var(--ink-soft);
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
}
</style>
