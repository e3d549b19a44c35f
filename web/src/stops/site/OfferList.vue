<script setup lang="ts">
import type { Ground, Offer, Site } from '@/api/client'
import { useChanges } from '@/api/changes'
import { useUndo } from '@/parts/undo'
import { emptyPlace, emptyService, toBusiness, toForm } from '../ground/business'

/** Services and towns that the site names and the client does not have yet: one click adds them. */
const props = defineProps<{ client: number; ground: Ground; site: Site }>()
const { saveGround } = useChanges(() => props.client)
const undo = useUndo()

async function take(o: Offer, what: 'services' | 'places') {
  const before = toBusiness(toForm(props.ground))
  const form = toForm(props.ground)
  if (what === 'services') form.services.push({ ...emptyService(), name: o.name })
  else form.places.push({ ...emptyPlace(), name: o.name })
  const now = toBusiness(form)
  const ok = await saveGround.mutateAsync({ to: now, was: before }).catch(() => null)
  if (ok) undo.offer(`Saved: ${o.name}`, () => saveGround.mutateAsync({ to: before, was: now }))
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
        <button class="link" type="button" @click="take(o, 'services')">Add</button>
      </li>
      <li v-for="o in site.places" :key="o.name">
        <span
          ><span class="penciled">{{ o.name }}</span> <span class="soft">place · {{ o.from }}</span></span
        >
        <button class="link" type="button" @click="take(o, 'places')">Add</button>
      </li>
    </ul>
    <p v-if="saveGround.error.value" class="mistake" role="alert">{{ saveGround.error.value.message }}</p>
  </section>
</template>
