<script setup lang="ts">
import type { Ground } from '@/api/types'
import EditFault from '@/parts/EditFault.vue'
import PlaceRows from '../ground/PlaceRows.vue'
import ServiceRows from '../ground/ServiceRows.vue'
import { useBusinessForm } from '../ground/useBusinessForm'

/** Services and places beside the book: it follows as a field is left. */
const props = defineProps<{ client: number; ground: Ground }>()
const emit = defineEmits<{ done: [] }>()
const { form, save, again, error } = useBusinessForm(
  () => props.client,
  () => props.ground,
)
</script>

<template>
  <section class="panel" aria-label="Services and places" @focusout="save">
    <ServiceRows v-model="form.services" :money="form.money" />
    <PlaceRows v-model="form.places" />
    <div class="end">
      <button class="link" type="button" @click="emit('done')">Close</button>
      <EditFault :fault="error" :again="again" />
    </div>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-columns: 1.4fr 1fr 90px;
  gap: 0 28px;
  padding: 8px var(--edge) 12px;
  border-bottom: 1px solid var(--ink);
  background: var(--band);
  max-height: 46vh;
  overflow-y: auto;
}
.end {
  text-align: right;
}
</style>
