<script setup lang="ts">
import type { Evidence } from '@/api/types'
import { computed } from 'vue'
import CutLine from '@/parts/CutLine.vue'
import { slotLabels } from '@/parts/slots'
import type { What } from './margin'

/** A page's text, block by block, with its words counted beside it and the phrase marked. */
const props = defineProps<{ evidence: Evidence; what: What | '' }>()

const blocks = computed(() =>
  props.evidence.blocks.filter((b) => (props.what === 'hidden' ? b.hidden : !b.hidden)),
)
const labels = computed(() => (props.evidence.phrase ? props.evidence.labels : []))
</script>

<template>
  <CutLine
    :shown="labels.length"
    :of="evidence.phrase ? evidence.label_count : 0"
    what="places outside the text"
  />
  <dl v-if="labels.length" class="labels grid gap-2 lines-1 line-below">
    <template v-for="(l, i) in labels" :key="i">
      <dt class="soft">{{ slotLabels[l.slot] }}</dt>
      <dd
        class="flush anywhere"
        :class="{ mono: l.slot === 'image_names' || l.slot === 'address' }"
        :data-label="l.slot"
      >
        <template v-for="(p, j) in l.pieces" :key="j"
          ><mark v-if="p.mark" :class="p.mark" :data-mark="p.mark" :data-slots="p.slots?.join(' ')">{{
            p.text
          }}</mark
          ><template v-else>{{ p.text }}</template></template
        >
      </dd>
    </template>
  </dl>
  <p v-if="!blocks.length" class="soft">
    {{ what === 'hidden' ? 'No hidden text.' : 'This page has no text.' }}
  </p>
  <CutLine :shown="evidence.blocks.length" :of="evidence.block_count" what="blocks of text" />
  <div class="text" data-document>
    <div
      v-for="(b, i) in blocks"
      :key="i"
      class="block mb-2 anywhere"
      :class="[b.kind, `level${b.level}`, { frame: !b.copy, off: what === 'copy' && !b.copy }]"
      :title="b.path"
    >
      <span class="words t-small soft" aria-hidden="true">{{ b.words }}</span>
      <span data-block :data-copy="b.copy"
        ><template v-for="(p, j) in b.pieces" :key="j"
          ><mark v-if="p.mark" :class="p.mark" :data-mark="p.mark" :data-slots="p.slots?.join(' ')">{{
            p.text
          }}</mark
          ><template v-else>{{ p.text }}</template></template
        ></span
      >
    </div>
  </div>
</template>

<style scoped>
.labels {
  grid-template-columns: var(--w12) 1fr;
  margin: 0 0 var(--s3);
  padding-bottom: var(--s3);
}
.block {
  position: relative;
  padding-right: var(--s10);
  line-height: 1.55;
}
.words {
  position: absolute;
  right: 0;
  top: 0;
  font-variant-numeric: tabular-nums;
}
.frame {
  color: var(--ink-soft);
}
/* Menus are many short blocks: they stand side by side, each with its count. */
.frame.item,
.frame.cell {
  display: inline-block;
  padding: 0 var(--s4) 0 0;
  margin: 0 var(--s2) var(--s0) 0;
}
.off {
  text-decoration: line-through;
}
.heading {
  font: 600 var(--lead)/1.4 var(--slab);
  margin-top: var(--s3);
}
.heading.level1 {
  font-size: var(--head);
}
.item {
  padding-left: var(--s3);
}
mark {
  background: none;
  color: inherit;
  border-bottom: var(--thick-line);
}
mark.loose {
  border-bottom-style: dotted;
}
.mono mark {
  font-family: var(--mono);
}
mark.now {
  background: var(--pencil-wash);
}
</style>
