<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { saveGroundMutation } from '@/api/calls'
import type { Ground, Offer, Site } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useUndo } from '@/parts/undo'
import { emptyPlace, emptyService, toBusiness, toForm } from '../ground/business'

/** Services and towns that the site names and the client does not have yet: one click adds them. */
const props = defineProps<{ client: number; ground: Ground; site: Site }>()
const saveGround = useMutation(saveGroundMutation())
const undo = useUndo()

async function take(o: Offer, what: 'services' | 'places') {
  const before = toBusiness(toForm(props.ground))
  const form = toForm(props.ground)
  if (what === 'services') form.services.push({ ...emptyService(), name: o.name })
  else form.places.push({ ...emptyPlace(), name: o.name })
  const now = toBusiness(form)
  const ok = await saveGround
    .mutateAsync({ path: { client: props.client }, body: { ...now, was: before } })
    .catch(() => null)
  if (ok)
    undo.offer(`Saved: ${o.name}`, () =>
      saveGround.mutateAsync({ path: { client: props.client }, body: { ...before, was: now } }),
    )
}
</script>

<template>
  <section v-if="site.services.length || site.places.length" data-offers>
    <h2>Named on the site</h2>
    <ul class="lines">
      <li v-for="o in site.services" :key="o.name">
        <span
          ><span class="penciled">{{ o.name }}</span> <span class="soft">service · {{ o.from }}</span></span
        >
        <ActionButton quiet @click="take(o, 'services')">Add</ActionButton>
      </li>
      <li v-for="o in site.places" :key="o.name">
        <span
          ><span class="penciled">{{ o.name }}</span> <span class="soft">place · {{ o.from }}</span></span
        >
        <ActionButton quiet @click="take(o, 'places')">Add</ActionButton>
      </li>
    </ul>
    <NoticeLine :fault="saveGround.error.value" />
  </section>
</template>
