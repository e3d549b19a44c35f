<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Ground } from '@/api/types'
import EditFault from '@/parts/EditFault.vue'
import ServicesAndPlaces from '../ground/ServicesAndPlaces.vue'
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
  <section
    class="panel grid pad-2 edge gap-8 lines-0 ink-below banded scroll-y"
    aria-label="Services and places"
    @focusout="save"
  >
    <ServicesAndPlaces v-model="form" />
    <div class="to-right">
      <ActionButton quiet @click="emit('done')">Close</ActionButton>
      <EditFault :fault="error" :again="again" />
    </div>
  </section>
</template>

<style scoped>
.panel {
  grid-template-columns: 1.4fr 1fr var(--w11);
  max-height: 46vh;
}
</style>
