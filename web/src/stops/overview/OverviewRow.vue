<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { addPageMutation } from '@/api/calls'
import type { OverviewRow, PageDraft } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useRouter } from 'vue-router'
import { bare, count, figure } from '@/parts/format'
import { pageName } from '@/parts/pages'
import PlacementMark from '@/parts/PlacementMark.vue'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { haveOne } from './rows'

/** One page of all: what it has, what it lacks, and whom it has to beat; one to make in pencil. */
const props = defineProps<{ row: OverviewRow; client: number }>()
const router = useRouter()
const add = useMutation(addPageMutation())

/** A page that was not planned yet is planned, so that it has a sheet of its own. */
async function open() {
  const { kind, service, place } = props.row
  const page = await add
    .mutateAsync({
      path: { client: props.client },
      body: { kind: kind as PageDraft['kind'], service, place },
    })
    .catch(() => null)
  if (page) await router.push({ name: 'sheet', params: { client: props.client, page: page.id } })
}
</script>

<template>
  <tr :class="{ missing: !row.url }" :data-row="pageName(row)">
    <th scope="row">
      <router-link
        v-if="row.id"
        class="slab bare"
        :class="{ pencil: !row.url }"
        :to="{ name: 'sheet', params: { client, page: row.id } }"
        :title="row.url ? bare(row.url) : undefined"
        >{{ pageName(row) }}</router-link
      >
      <button v-else class="quiet slab pencil" type="button" title="Plan this page" @click="open">
        {{ pageName(row) }}
      </button>
      <span v-if="row.phrase" class="under soft" :title="row.phrase">{{ row.phrase }}</span>
      <NoticeLine :fault="add.error.value" />
    </th>
    <td>
      <span v-if="row.words !== null" class="figure">{{ count(row.words) }}</span>
      <span v-else class="pencil">–</span>
    </td>
    <td>
      <div class="flow apart on-mid gap-2">
        <TallyStrokes
          :words="row.words ?? 0"
          :write="row.target === null ? 0 : (row.to_write ?? 0)"
          :height="17"
        />
        <span v-if="row.target !== null && row.to_write" class="num pencil">+{{ count(row.to_write) }}</span>
        <span v-else-if="row.target !== null && row.words !== null" class="num soft">enough</span>
      </div>
    </td>
    <td>
      <div v-if="row.phrase" class="marks">
        <PlacementMark v-if="row.placement" :placement="row.placement" :wanted="row.wanted" both />
        <PlacementMark v-else :wanted="row.wanted" target />
      </div>
    </td>
    <td class="soft">
      <template v-if="row.images">{{ row.carrying }} of {{ row.images }}</template>
    </td>
    <td>
      <div v-if="row.strongest" class="flow wrap apart rival">
        <TallyStrokes :words="row.strongest.words" tone="rival" :height="14" />
        <span class="num">{{ figure(row.strongest.words) }}</span>
        <span class="under full">{{ row.strongest.name }}</span>
      </div>
    </td>
    <td>
      <span v-if="!row.url" class="pencil">{{
        ['no page yet', haveOne(row)].filter(Boolean).join(' · ')
      }}</span>
      <span v-for="f in row.findings" :key="f.type + f.says" class="soft of-two" :title="f.says">
        <span v-if="f.first" class="stamp">fix first</span>
        {{ f.says }}
      </span>
    </td>
  </tr>
</template>
