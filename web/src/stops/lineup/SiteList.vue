<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { importSiteKindsMutation } from '@/api/calls'
import type { SiteKind } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { siteListOf } from './entries'

/** The list of sites as text: to keep it elsewhere, and to bring one in. */
const props = defineProps<{ client: number; kinds: SiteKind[] }>()
const importKinds = useMutation(importSiteKindsMutation())
const open = ref(false)
const typed = ref('')
const text = computed(() => 'data:text/plain;charset=utf-8,' + encodeURIComponent(siteListOf(props.kinds)))

async function add() {
  const kept = await importKinds.mutateAsync({ body: { list: typed.value } }).catch(() => null)
  if (kept) [typed.value, open.value] = ['', false]
}
</script>

<template>
  <div class="list flow wrap gap-4 lines-2 on-base">
    <ActionButton quiet @click="open = !open">Import a list</ActionButton>
    <ActionButton v-if="kinds.length" quiet :href="text" download="sites.txt">Save as .txt</ActionButton>
    <form v-if="open" class="grid gap-2" @submit.prevent="add">
      <textarea
        v-model="typed"
        class="field mono"
        name="site_list"
        rows="4"
        aria-label="A domain and what it is on each line"
        placeholder="townledger.example directory
hearthway.example chain"
      ></textarea>
      <ActionButton submit :disabled="!typed.trim() || importKinds.isPending.value"> Add sites </ActionButton>
      <NoticeLine :fault="importKinds.error.value" />
    </form>
  </div>
</template>

<style scoped>
form {
  flex-basis: 100%;
  justify-items: start;
}
textarea {
  width: 100%;
}
</style>
