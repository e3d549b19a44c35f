<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { ref } from 'vue'
import { saveGroundMutation } from '@/api/calls'
import type { Ground } from '@/api/types'
import { useUndo } from '@/parts/undo'
import ActionButton from '@/ui/ActionButton.vue'
import FieldLine from '@/ui/FieldLine.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { toBusiness, toForm } from './business'

/** The address of a client's site, asked for where it is told that there is none. */
const props = defineProps<{ client: number; ground: Ground }>()
const saveGround = useMutation(saveGroundMutation())
const undo = useUndo()
const typed = ref('')

async function save() {
  const path = { client: props.client }
  const before = toBusiness(toForm(props.ground))
  const saved = await saveGround
    .mutateAsync({ path, body: { ...before, home_page: typed.value.trim(), was: before } })
    .catch(() => null)
  if (!saved) return
  const now = { ...before, home_page: saved.home_page }
  undo.offer(`Home page: ${saved.home_page}`, () =>
    saveGround.mutateAsync({ path, body: { ...before, was: now } }),
  )
}
</script>

<template>
  <form class="flow wrap gap-3 at-end" @submit.prevent="save">
    <FieldLine
      v-model="typed"
      label="If there is a site now, enter its address"
      name="first_address"
      mono
      placeholder="e.g. shop.example"
    />
    <ActionButton submit :disabled="!typed.trim() || saveGround.isPending.value">Save</ActionButton>
    <NoticeLine :fault="saveGround.error.value" />
  </form>
</template>
