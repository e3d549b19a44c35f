<script setup lang="ts">
import { ref } from 'vue'
import type { Ground, PageDraft, PageInfo } from '@/api/client'
import { usePages } from '@/api/pages'
import { bare, count, plural } from '@/parts/format'
import { pageName } from '@/parts/pages'
import TallyStrokes from '@/parts/TallyStrokes.vue'
import { useUndo } from '@/parts/undo'

/** The client's pages and what each is for. Addresses are added by typing or pasting. */
const props = defineProps<{ client: number; ground: Ground }>()
const { add, change, remove, restore } = usePages(() => props.client)
const undo = useUndo()
const addresses = ref('')

const kinds = ['service', 'area', 'about', 'contact', 'gallery', 'article', 'other'] as const
const draftOf = (p: PageInfo): PageDraft => ({
  url: p.url,
  kind: p.kind as PageDraft['kind'],
  service: p.service,
  place: p.place,
})

async function addAll() {
  const added: PageInfo[] = []
  const before = [...props.ground.pages]
  const left = addresses.value.split(/\s+/).filter(Boolean)
  while (left.length) {
    const page = await add.mutateAsync({ url: left[0]! }).catch(() => null)
    if (!page) break
    added.push(page)
    left.shift()
  }
  addresses.value = left.join('\n') // what was not added stays as it was typed
  if (added.length)
    undo.offer(`${plural(added.length, 'page')} added`, async () => {
      for (const p of added) {
        const planned = before.find((b) => b.id === p.id)
        if (planned) await change.mutateAsync({ page: p.id, body: draftOf(planned) })
        else await remove.mutateAsync(p.id)
      }
    })
}

async function put(p: PageInfo, body: PageDraft) {
  const ok = await change.mutateAsync({ page: p.id, body: { ...draftOf(p), ...body } }).catch(() => null)
  if (ok) undo.offer('Saved', () => change.mutateAsync({ page: p.id, body: draftOf(p) }))
}

async function drop(p: PageInfo) {
  const ok = await remove.mutateAsync(p.id).then(
    () => true,
    () => false,
  )
  if (ok) undo.offer(`${pageName(p)} removed`, () => restore.mutateAsync(p.id))
}

/** A page that becomes one for a service or a place needs one at once. */
function kindTo(p: PageInfo, kind: string) {
  const draft: PageDraft = { kind: kind as PageDraft['kind'] }
  if (kind === 'service' && !p.service) draft.service = props.ground.services[0]?.name ?? ''
  if (kind === 'area' && !p.place) draft.place = props.ground.places.find((x) => !x.home)?.name ?? ''
  void put(p, draft)
}
</script>

<template>
  <ul @focusout.stop>
    <li v-for="p in ground.pages" :key="p.id" :data-page="p.id">
      <div class="line">
        <span class="name" :class="{ pencil: !p.url }">{{ pageName(p) }}</span>
        <template v-if="p.words !== null">
          <span class="num figure">{{ count(p.words) }}</span>
          <TallyStrokes :words="p.words" :write="p.to_write ?? 0" :height="14" />
        </template>
        <span v-else class="pencil">{{ p.url ? 'not measured yet' : 'new page' }}</span>
        <button
          v-if="p.kind !== 'home'"
          class="link off"
          type="button"
          :aria-label="`Remove ${pageName(p)}`"
          @click="drop(p)"
        >
          Remove
        </button>
      </div>
      <div v-if="p.kind !== 'home'" class="line for">
        <select
          :value="p.kind"
          aria-label="Kind of page"
          @change="kindTo(p, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="k in kinds" :key="k">{{ k }}</option>
        </select>
        <select
          v-if="p.kind === 'service' || p.kind === 'area'"
          :value="p.service"
          aria-label="Service"
          @change="put(p, { service: ($event.target as HTMLSelectElement).value })"
        >
          <option value="">all services</option>
          <option v-for="s in ground.services" :key="s.name">{{ s.name }}</option>
        </select>
        <select
          v-if="p.kind === 'service' || p.kind === 'area'"
          :value="p.place"
          aria-label="Place"
          @change="put(p, { place: ($event.target as HTMLSelectElement).value })"
        >
          <option value="">{{ ground.places.find((x) => x.home)?.name ?? 'home town' }}</option>
          <option v-for="x in ground.places.filter((x) => !x.home)" :key="x.name">{{ x.name }}</option>
        </select>
      </div>
      <button v-if="p.seems" class="link pencil" type="button" @click="put(p, p.seems)">
        It seems to be for {{ pageName(p.seems as PageInfo) }}
      </button>
      <span v-if="p.kind !== 'home' && p.url" class="mono soft" :title="p.url">{{ bare(p.url) }}</span>
    </li>
  </ul>
  <form class="add" @submit.prevent="addAll" @focusout.stop>
    <textarea
      v-model="addresses"
      class="field mono"
      name="page_addresses"
      rows="1"
      aria-label="Addresses of pages"
      placeholder="addresses of pages, one per line"
    ></textarea>
    <button class="press" type="submit" :disabled="!addresses.trim() || add.isPending.value">Add</button>
  </form>
  <p
    v-for="e in [add.error.value, change.error.value, remove.error.value].filter(Boolean)"
    :key="e!.message"
    class="mistake"
    role="alert"
  >
    {{ e!.message }}
  </p>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
}
li {
  border-bottom: 1px solid var(--rule);
  padding: 6px 2px;
}
.line {
  display: flex;
  gap: 10px;
  align-items: center;
}
.name {
  overflow-wrap: anywhere;
}
.off {
  margin-left: auto;
  white-space: nowrap;
  font-size: 12px;
}
.for {
  margin: 2px 0;
  font-size: 12.5px;
}
select {
  font: inherit;
  color: var(--ink-soft);
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
  max-width: 132px;
  min-width: 0;
}
.mono {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.add {
  display: flex;
  gap: 10px;
  align-items: end;
  margin-bottom: 12px;
}
.add textarea {
  min-width: 0;
  field-sizing: content;
  max-height: 140px;
}
.press {
  padding: 3px 12px;
}
</style>
