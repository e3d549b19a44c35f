<script setup lang="ts">
import { computed } from 'vue'
import type { Column } from '@/api/client'

/** Every image of a page with the verdict on its name and the name proposed. */
const props = defineProps<{ column: Column }>()

const verdicts: Record<string, string> = {
  carries: 'carries a phrase',
  near: 'holds the service or the place, not both',
  camera: 'a camera’s name',
  machine: 'a machine’s name',
  counter: 'says nothing of what it shows',
  plain: 'other words',
  'wrong place': 'names another place',
  'no name': 'has no name',
}
const images = computed(() => props.column.images)
</script>

<template>
  <p v-if="!images.length" class="soft">The page has no images.</p>
  <ol v-else data-document>
    <li v-for="(img, i) in images" :key="i" data-image :data-verdict="img.verdict">
      <div class="mono name" :class="{ gone: img.hidden }">
        {{ img.file ? img.file + img.ext : 'inline picture' }}
      </div>
      <div v-if="img.proposal" class="mono">
        <span class="penciled">{{ img.proposal }}</span>
      </div>
      <div class="soft">
        <span v-if="img.verdict === 'wrong place'" class="stamp">wrong place</span>
        {{ verdicts[img.verdict] }}<template v-if="img.hidden"> · hidden</template
        ><template v-if="img.background"> · a background</template
        ><template v-if="img.width && img.height"> · {{ img.width }} × {{ img.height }}</template
        ><template v-if="img.link"> · in a link</template
        ><template v-if="img.baked"> · words may be part of the picture</template>
      </div>
      <div class="soft">
        <template v-if="img.background">a background has no alt text</template>
        <template v-else-if="img.alt === null">no alt text</template>
        <template v-else-if="!img.alt.trim()">alt text left empty</template>
        <template v-else
          >alt: <span class="alt" data-alt>{{ img.alt }}</span></template
        ><template v-if="img.heading"> · under “{{ img.heading }}”</template>
      </div>
    </li>
  </ol>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}
.name {
  font-size: 13px;
}
.gone {
  opacity: 0.7;
}
.alt {
  color: var(--ink);
}
</style>
