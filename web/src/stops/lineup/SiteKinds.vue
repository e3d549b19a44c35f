<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { forgetSiteKindMutation, siteKindsOptions } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { moment } from '@/parts/format'
import { kindName } from './entries'
import SiteList from './SiteList.vue'

/** What was said of sites holds for all clients; here it is taken back. */
defineProps<{ client: number }>()
const { data: kinds } = useQuery(siteKindsOptions())
const forgetKind = useMutation(forgetSiteKindMutation())
</script>

<template>
  <section v-if="kinds" class="kinds" data-site-kinds>
    <h2>Remembered for all clients</h2>
    <p v-if="!kinds.length" class="soft">
      What you say a site is (directory, chain, ...) is kept here and holds for every client.
    </p>
    <SiteList :client="client" :kinds="kinds" />
    <ul class="lines">
      <li v-for="k in kinds" :key="k.domain">
        <span>
          <span class="mono">{{ k.domain }}</span> {{ kindName(k.kind) }}
          <span class="soft">said for {{ k.said_for }}, {{ moment(k.said_at) }}</span>
        </span>
        <button
          class="link"
          type="button"
          @click="forgetKind.mutate({ path: { client: client, domain: k.domain } })"
        >
          Forget
        </button>
      </li>
    </ul>
    <NoticeLine :fault="forgetKind.error.value" />
  </section>
</template>

<style scoped>
.kinds {
  padding: 16px var(--edge) 6px;
  max-width: 640px;
}
h2 {
  font-size: 15.5px;
  margin: 0 0 2px;
}
</style>
