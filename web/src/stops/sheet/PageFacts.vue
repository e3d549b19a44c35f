<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { pageFactsOptions } from '@/api/calls'
import type { Column } from '@/api/types'
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
  <p v-if="grave.length" class="grave">
    <span v-for="f in grave" :key="f.code" class="stamp">{{ f.says }}</span>
  </p>
  <ReadMode :column="column" :client="client" />
  <div data-document>
    <section v-for="g in groups" :key="g.name">
      <h3>{{ g.name }}</h3>
      <dl>
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
        <h3>Menus</h3>
        <div v-for="(menu, i) in data.menus" :key="i" class="menu" data-menu>
          <MenuTree :items="menu" />
        </div>
      </section>
      <section>
        <h3>Links</h3>
        <p v-if="!data.links.length" class="soft">This page has no links.</p>
        <LinkList v-else :links="data.links" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.grave {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  margin: 2px 0 12px;
}
h3 {
  font-size: 14px;
  margin: 18px 0 2px;
  padding-bottom: 3px;
  border-bottom: 1px solid var(--ink);
}
dl {
  display: grid;
  grid-template-columns: 108px 1fr;
  margin: 0;
}
dt,
dd {
  margin: 0;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}
/* What is wrong is underlined by hand, as a proof-reader does. */
.wrong div:first-child {
  text-decoration: underline wavy var(--stamp) 1px;
  text-underline-offset: 4px;
}
.menu {
  margin: 8px 0;
}
.menu > ul {
  border-left: 0;
  padding-left: 0;
}
</style>
