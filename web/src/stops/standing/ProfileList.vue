<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { mapProfileOptions, standingOptions, typeFactMutation } from '@/api/calls'
import type { ProfileItem } from '@/api/types'
import { useEdit } from '@/parts/edit'
import EditFault from '@/parts/EditFault.vue'
import DataTable from '@/ui/DataTable.vue'
import TypedField from '@/ui/TypedField.vue'

/** The client's map profile, fact by fact; what is not known is typed in place. */
const props = defineProps<{ client: number }>()
const { data } = useQuery(() => mapProfileOptions({ path: { client: props.client } }))
const { data: standing } = useQuery(() => standingOptions({ path: { client: props.client } }))
const type = useMutation(typeFactMutation())
const edit = useEdit()
const columns = [
  { key: 'fact', title: 'fact', width: 'w28', narrow: 'w24' },
  { key: 'theirs', title: 'on the map profile; – for what is missing', width: 'w70', narrow: 'w45' },
  { key: 'wants', title: 'to do' },
]
const shown = (i: ProfileItem) => (i.state === 'unknown' ? '' : i.theirs || '–')

async function put(i: ProfileItem, typed: string) {
  const value = typed === '' ? null : ['-', '–'].includes(typed) ? '' : typed
  const domain = standing.value!.sites[0]!.domain
  const ok = await edit.make(() =>
    type.mutateAsync({ path: { client: props.client, domain }, body: { field: i.field, value } }),
  )
  return ok !== null
}
</script>

<template>
  <section v-if="data" aria-label="Map profile">
    <EditFault class="edge" :fault="type.error.value" :again="edit.again.value" />
    <DataTable :columns="columns" fixed>
      <tbody>
        <tr v-for="i in data.items" :key="i.field" :data-fact="i.field">
          <th scope="row" class="plain">{{ i.name }}</th>
          <td>
            <TypedField
              class="field"
              :value="shown(i)"
              placeholder="not known"
              :aria-label="i.name"
              :save="(typed: string) => put(i, typed)"
            />
          </td>
          <td class="pencil">{{ i.wants }}</td>
        </tr>
      </tbody>
    </DataTable>
  </section>
</template>

<style scoped>
.field {
  width: 100%;
  padding: var(--s0);
  margin: 0;
}
</style>
