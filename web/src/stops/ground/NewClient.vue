<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { newClientMutation } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import AppHeader from '@/parts/AppHeader.vue'
import { emptyForm, toBusiness } from './business'
import BusinessForm from './BusinessForm.vue'

defineEmits<{ help: []; find: [] }>()

const router = useRouter()
const form = ref(emptyForm())
const add = useMutation(newClientMutation())

async function save() {
  const ground = await add.mutateAsync({ body: toBusiness(form.value) }).catch(() => null)
  if (ground) await router.push({ name: 'lineup', params: { client: ground.id } })
}
</script>

<template>
  <AppHeader @help="$emit('help')" @find="$emit('find')" />
  <main id="main">
    <form @submit.prevent="save">
      <div class="title">
        <h1>New client</h1>
        <span class="soft">A name or an address is enough to start.</span>
        <NoticeLine :fault="add.error.value" />
        <router-link class="back" to="/">All clients</router-link>
        <ActionButton main submit :disabled="add.isPending.value">Save and find rivals</ActionButton>
      </div>
      <BusinessForm v-model="form" />
    </form>
  </main>
</template>

<style scoped src="./title.css"></style>
<style scoped>
.back {
  margin-left: auto;
}
</style>
