<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { pageFactsOptions } from '@/api/calls'
import type { Column } from '@/api/types'
import CutLine from '@/parts/CutLine.vue'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed } from 'vue'
import LinkList from './LinkList.vue'
import MenuTree from './MenuTree.vue'
import { facts } from './pageFacts'
import ReadMode from './ReadMode.vue'

/** All there is on a page, as an owner would be shown it. */
const props = defineProps<{ column: Column; client: number; page: number }>()
const { data, error } = useQuery(() =>
  pageFactsOptions({
    path: { client: props.client, page: props.page },
    query: { entry: props.column.entry_id },
  }),
)
const groups = computed(() => (props.column.details ? facts(props.column, props.column.details) : []))
const grave = computed(() => props.column.details?.flaws.filter((f) => f.first) ?? [])
</script>

<template>
  <p v-if="grave.length" class="grave flow wrap gap-2 lines-2">
    <span v-for="f in grave" :key="f.code" class="stamp">{{ f.says }}</span>
  </p>
  <ReadMode :column="column" :client="client" />
  <div data-document>
    <section v-for="g in groups" :key="g.name">
      <h3 class="t-text ink-below">{{ g.name }}</h3>
      <dl class="grid flush">
        <template v-for="f in g.facts" :key="f.name">
          <dt class="soft">{{ f.name }}</dt>
          <dd :class="{ wrong: f.wrong }">
            <div v-for="(s, i) in f.says" :key="i">{{ s }}</div>
          </dd>
        </template>
      </dl>
    </section>
    <NoticeLine :fault="error" />
    <template v-if="data">
      <section v-if="data.menus.length">
        <h3 class="t-text ink-below">Menus</h3>
        <div v-for="(menu, i) in data.menus" :key="i" class="menu" data-menu>
          <MenuTree :items="menu" />
        </div>
      </section>
      <section>
        <h3 class="t-text ink-below">Links</h3>
        <CutLine :shown="data.links.length" :of="data.link_count" what="links" />
        <p v-if="!data.links.length" class="soft">This page has no links.</p>
        <LinkList v-else :links="data.links" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.grave {
  margin: var(--s0) 0 var(--s3);
}
dl {
  grid-template-columns: var(--w15) 1fr;
}
dt,
dd {
  margin: 0;
  padding: var(--s1) 0;
  border-bottom: var(--line);
  overflow-wrap: anywhere;
}
/* What is wrong is underlined by hand, as a proof-reader does. */
.wrong div:first-child {
  text-decoration: underline wavy var(--stamp) var(--s0);
  text-underline-offset: var(--s1);
}
.menu {
  margin: var(--s2) 0;
}
.menu > ul {
  border-left: 0;
  padding-left: 0;
}
</style>
