<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
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
  <section v-if="kinds" class="kinds pad-4 edge readable" data-site-kinds>
    <h2 class="t-lead">Remembered for all clients</h2>
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
        <ActionButton quiet @click="forgetKind.mutate({ path: { client: client, domain: k.domain } })">
          Forget
        </ActionButton>
      </li>
    </ul>
    <NoticeLine :fault="forgetKind.error.value" />
  </section>
</template>
