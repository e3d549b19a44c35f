<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { whyOptions } from '@/api/calls'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref, watch } from 'vue'
import SideMargin from '@/parts/SideMargin.vue'
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
    <section v-for="(w, i) in why" :key="i">
      <h3>{{ w.title }}</h3>
      <dl>
        <template v-for="(l, k) in w.lines" :key="k">
          <dt :class="{ sum: l.sum }">
            {{ l.says }}
            <span class="rule soft" :title="`Rule ${l.rule}`">{{ l.rule }}</span>
            <button
              v-if="l.figure && byKey.get(l.figure)"
              class="link"
              type="button"
              :data-figure="l.figure"
              @click="editing = editing === `${i}.${k}` ? '' : `${i}.${k}`"
            >
              change
            </button>
          </dt>
          <dd class="num" :class="[sign(l.value), { sum: l.sum }]">{{ l.value }}</dd>
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
  padding: 10px 0 12px;
  border-bottom: 1px solid var(--rule);
}
h3 {
  font-size: 14px;
  margin: 0 0 4px;
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 3px 14px;
  margin: 0;
}
dd {
  margin: 0;
  text-align: right;
  white-space: nowrap;
}
.sum {
  font-weight: 600;
  border-top: 1px solid var(--ink);
  padding-top: 2px;
}
.rule {
  font-size: 11px;
  font-weight: 400;
  margin-left: 5px;
}
.edit {
  grid-column: 1 / -1;
}
dt .link {
  font-size: 12px;
  margin-left: 8px;
}
</style>
