<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { Finding, Ground, PageDraft, SitePage } from '@/api/types'
import { ref } from 'vue'
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
        <select
          :value="asks || page.kind"
          :aria-label="`Kind of ${pageName(page)}`"
          :title="page.reason"
          @change="toKind(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="k in choices" :key="k">{{ k }}</option>
        </select>
        <select
          v-if="asks === 'service'"
          class="pencil"
          aria-label="Which service?"
          @change="answer({ service: ($event.target as HTMLSelectElement).value })"
        >
          <option value="" disabled selected>which service?</option>
          <option v-for="s in ground.services" :key="s.name">{{ s.name }}</option>
        </select>
        <select
          v-else-if="asks === 'area'"
          class="pencil"
          aria-label="Which town?"
          @change="answer({ place: ($event.target as HTMLSelectElement).value })"
        >
          <option value="" disabled selected>which town?</option>
          <option v-for="x in ground.places" :key="x.name">{{ x.name }}</option>
        </select>
        <template v-else-if="page.kind === 'service' || page.kind === 'area'">
          <select
            :value="page.service"
            aria-label="Service"
            @change="edits.put(page, { service: ($event.target as HTMLSelectElement).value })"
          >
            <option value="">all services</option>
            <option v-for="s in ground.services" :key="s.name">{{ s.name }}</option>
          </select>
          <select
            :value="page.place"
            aria-label="Place"
            @change="edits.put(page, { place: ($event.target as HTMLSelectElement).value })"
          >
            <option value="">{{ ground.places.find((x) => x.home)?.name ?? 'home town' }}</option>
            <option v-for="x in ground.places.filter((x) => !x.home)" :key="x.name">{{ x.name }}</option>
            <option v-if="page.place && !ground.places.some((x) => x.name === page.place)">
              {{ page.place }}
            </option>
          </select>
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
