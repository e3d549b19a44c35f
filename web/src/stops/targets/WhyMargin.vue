<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { whyOptions } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref, watch } from 'vue'
import SideMargin from '@/ui/SideMargin.vue'
import FigureEdit from '../yardstick/FigureEdit.vue'
import { useFigures } from '../yardstick/useFigures'

/** The sum that made a figure, line by line, with the figures of the yardstick in place to be changed. */
const props = defineProps<{ client: number; target: string; part: string; title: string }>()
defineEmits<{ close: [] }>()

const { data: why, error } = useQuery(() => ({
  ...whyOptions({ path: { client: props.client }, query: { target: props.target, part: props.part } }),
  enabled: props.target !== '',
}))
const { figures } = useFigures(() => props.client)
const byKey = computed(() => new Map((figures.value ?? []).map((f) => [f.key, f])))

/** Which line's figure is being changed. */
const editing = ref('')
watch(
  () => [props.target, props.part],
  () => (editing.value = ''),
)
const sign = (value: string) => (/^[−×+]/.test(value) ? '' : 'plain')
</script>

<template>
  <SideMargin :title="title" label="Why" data-why @close="$emit('close')">
    <NoticeLine :fault="error" />
    <section v-for="(w, i) in why" :key="i" class="line-below">
      <h3 class="t-text">{{ w.title }}</h3>
      <dl class="grid gap-3 lines-1 flush">
        <template v-for="(l, k) in w.lines" :key="k">
          <dt :class="{ sum: l.sum }">
            {{ l.says }}
            <span class="rule soft t-small plain ml-1" :title="`Rule ${l.rule}`">{{ l.rule }}</span>
            <ActionButton
              v-if="l.figure && byKey.get(l.figure)"
              quiet
              :data-figure="l.figure"
              @click="editing = editing === `${i}.${k}` ? '' : `${i}.${k}`"
            >
              change
            </ActionButton>
          </dt>
          <dd class="num flush to-right nowrap" :class="[sign(l.value), { sum: l.sum }]">{{ l.value }}</dd>
          <FigureEdit
            v-if="editing === `${i}.${k}` && byKey.get(l.figure)"
            class="edit"
            :client="client"
            :figure="byKey.get(l.figure)!"
            @done="editing = ''"
          />
        </template>
      </dl>
    </section>
    <template #foot>
      Gains are estimates.
      <router-link :to="{ name: 'yardstick', params: { client } }">All figures of the yardstick</router-link>
    </template>
  </SideMargin>
</template>

<style scoped>
section {
  padding: var(--s2) 0 var(--s3);
}
dl {
  grid-template-columns: minmax(0, 1fr) auto;
}
.sum {
  font-weight: 600;
  border-top: var(--ink-line);
  padding-top: var(--s0);
}
.edit {
  grid-column: 1 / -1;
}
dt .link {
  font-size: var(--small);
  margin-left: var(--s2);
}
</style>
