<script setup lang="ts">
import ChoiceBox from '@/ui/ChoiceBox.vue'
import { named } from '@/ui/choices'
import ActionButton from '@/ui/ActionButton.vue'
import type { Finding, Ground, PageDraft, SitePage } from '@/api/types'
import { computed, ref } from 'vue'
import { count, figure, pathOf } from '@/parts/format'
import { pageName } from '@/parts/pages'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { kinds } from './tree'
import type { usePageEdits } from './usePageEdits'

/** One page of the client: what it is for, its words, and what was found on it. */
const props = defineProps<{
  page: SitePage
  client: number
  ground: Ground
  findings: Finding[]
  edits: ReturnType<typeof usePageEdits>
}>()
const choices = kinds.filter((k) => k !== 'home')

/** A kind that was chosen and still needs its service or town: only a person knows which. */
const asks = ref<'' | 'service' | 'area'>('')

const services = computed(() => [
  { value: '', says: 'all services' },
  ...named(props.ground.services.map((s) => s.name)),
])
/* The home town is no place of its own; one that the ground lost stays until another is chosen. */
const places = computed(() => {
  const others = props.ground.places.filter((x) => !x.home).map((x) => x.name)
  const { place } = props.page
  const lost = place && !props.ground.places.some((x) => x.name === place) ? [place] : []
  const home = props.ground.places.find((x) => x.home)?.name ?? 'home town'
  return [{ value: '', says: home }, ...named([...others, ...lost])]
})

/** An empty kind leaves it to the program. */
function toKind(kind: string) {
  const lacks = (kind === 'service' && !props.page.service) || (kind === 'area' && !props.page.place)
  asks.value = lacks ? (kind as 'service' | 'area') : ''
  if (!lacks) void props.edits.put(props.page, { kind: kind as PageDraft['kind'] })
}

function answer(draft: PageDraft) {
  void props.edits.put(props.page, { kind: asks.value as PageDraft['kind'], ...draft })
  asks.value = ''
}
</script>

<template>
  <tr :data-page="page.id">
    <td>
      <router-link
        class="slab"
        :to="{ name: 'sheet', params: { client, page: page.id } }"
        :class="{ pencil: !page.url }"
        :title="page.title"
        >{{ pageName(page) }}</router-link
      >
      <span v-if="page.url" class="mono soft under" :title="page.url">{{ pathOf(page.url) }}</span>
      <span v-else class="pencil under">planned</span>
    </td>
    <td>
      <template v-if="page.kind !== 'home'">
        <ChoiceBox
          :model-value="asks || page.kind"
          :label="`Kind of ${pageName(page)}`"
          :title="page.reason"
          :options="named(choices)"
          @update:model-value="toKind"
        />
        <ChoiceBox
          v-if="asks === 'service'"
          model-value=""
          label="Which service?"
          asks="which service?"
          :options="named(ground.services.map((s) => s.name))"
          @update:model-value="answer({ service: $event })"
        />
        <ChoiceBox
          v-else-if="asks === 'area'"
          model-value=""
          label="Which town?"
          asks="which town?"
          :options="named(ground.places.map((x) => x.name))"
          @update:model-value="answer({ place: $event })"
        />
        <template v-else-if="page.kind === 'service' || page.kind === 'area'">
          <ChoiceBox
            :model-value="page.service"
            label="Service"
            :options="services"
            @update:model-value="edits.put(page, { service: $event })"
          />
          <ChoiceBox
            :model-value="page.place"
            label="Place"
            :options="places"
            @update:model-value="edits.put(page, { place: $event })"
          />
        </template>
      </template>
      <span class="under soft" :title="page.reason">
        {{ page.by_hand ? 'set by you' : page.reason }}
        <ActionButton
          v-if="page.by_hand && page.url && page.kind !== 'home'"
          quiet
          @click="edits.put(page, { kind: '' as PageDraft['kind'] })"
        >
          Automatic
        </ActionButton>
      </span>
      <ActionButton v-if="page.seems" quiet class="pencil" @click="edits.put(page, page.seems)">
        It seems to be for {{ pageName(page.seems as SitePage) }}
      </ActionButton>
    </td>
    <td class="num">
      <span class="figure">{{ figure(page.words) }}</span>
    </td>
    <td class="nowrap">
      <TallyStrokes
        :words="page.words ?? 0"
        :write="page.to_write ?? 0"
        :height="16"
        :most="6"
        class="mr-2"
      />
      <span v-if="page.to_write" class="num pencil">+{{ count(page.to_write) }}</span>
    </td>
    <td class="num soft" title="Copy words that no other pages repeat">{{ figure(page.own) }}</td>
    <td>
      <span v-for="f in findings" :key="f.type + f.says" class="of-three" :title="f.says">
        <span v-if="f.first" class="stamp">fix first</span> {{ f.says }}
      </span>
    </td>
    <td class="to-right">
      <ActionButton
        v-if="page.kind !== 'home'"
        quiet
        class="off"
        :aria-label="`Remove ${pageName(page)}`"
        @click="edits.drop(page)"
      >
        Remove
      </ActionButton>
    </td>
  </tr>
</template>
