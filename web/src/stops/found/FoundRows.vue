<script setup lang="ts">
import type { Found, FoundPhrase } from '@/api/types'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref } from 'vue'
import { figure } from '@/parts/format'

/** The phrases with the position of each site; only the rows in sight are drawn. */
const props = defineProps<{ rows: FoundPhrase[]; sites: Found['sites'] }>()
const emit = defineEmits<{ take: [text: string] }>()

/* Sites without a list have no column. */
const columns = computed(() => props.sites.map((s, i) => ({ ...s, at: i })).filter((s) => s.sums))
const scroll = ref<HTMLElement>()
const virtual = useVirtualizer(
  computed(() => ({
    count: props.rows.length,
    getScrollElement: () => scroll.value ?? null,
    estimateSize: () => 32,
    overscan: 12,
  })),
)
</script>

<template>
  <div class="found" :style="{ '--sites': columns.length }">
    <div class="line head soft">
      <span>phrase</span><span class="num">searches/mo</span
      ><span v-for="s in columns" :key="s.site" class="num site" :title="s.site">{{ s.name }}</span
      ><span></span>
    </div>
    <div ref="scroll" class="scroller" tabindex="0" aria-label="Phrases">
      <div :style="{ height: `${virtual.getTotalSize()}px`, position: 'relative' }">
        <div
          v-for="item in virtual.getVirtualItems()"
          :key="rows[item.index]!.text"
          class="line row"
          :class="{ band: item.index % 2 }"
          :style="{ transform: `translateY(${item.start}px)` }"
          :data-found="rows[item.index]!.text"
        >
          <span class="text" :title="rows[item.index]!.text">{{ rows[item.index]!.text }}</span>
          <span class="num">{{ figure(rows[item.index]!.volume) }}</span>
          <span
            v-for="s in columns"
            :key="s.site"
            class="num place"
            :class="{
              first: rows[item.index]!.positions[s.at]! && rows[item.index]!.positions[s.at]! <= 10,
              rival: s.role !== 'client',
            }"
            >{{ rows[item.index]!.positions[s.at] || '·' }}</span
          >
          <span class="acts">
            <span v-if="rows[item.index]!.in_book" class="soft">in the book</span>
            <button v-else class="link" type="button" @click="emit('take', rows[item.index]!.text)">
              Add to book
            </button>
          </span>
        </div>
      </div>
    </div>
    <p v-if="!rows.length" class="soft none">No matches</p>
  </div>
</template>

<style scoped>
.found {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 160px;
  border-top: 1px solid var(--ink);
}
.line {
  display: grid;
  grid-template-columns: minmax(200px, 2fr) 70px repeat(var(--sites), minmax(64px, 1fr)) 90px;
  gap: 0 12px;
  align-items: center;
  padding: 0 14px 0 var(--edge);
}
.head {
  height: 30px;
  border-bottom: 1px solid var(--ink);
  font-size: 12px;
}
@media (max-width: 760px) {
  .found {
    overflow-x: auto;
  }
  .head,
  .scroller {
    min-width: 640px;
  }
}
.site,
.text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.scroller {
  flex: 1;
  overflow-y: auto;
}
.row {
  position: absolute;
  top: 0;
  left: 0;
  width: 100%;
  height: 32px;
  border-bottom: 1px solid var(--rule);
}
.band {
  background: var(--band);
}
.text {
  font-weight: 500;
}
.place {
  color: var(--ink-soft);
}
.place.first {
  color: var(--ink);
  font-weight: 600;
}
.place.first.rival {
  color: var(--rival);
}
.acts {
  text-align: right;
}
.none {
  padding: 14px var(--edge);
}
</style>
