<script setup lang="ts">
import type { Column } from '@/api/types'
import CutLine from '@/parts/CutLine.vue'

/** Every image of a page with the verdict on its name and the name proposed. */
defineProps<{ column: Column }>()
</script>

<template>
  <CutLine :shown="column.images.length" :of="column.image_count" what="images" />
  <p v-if="!column.images.length" class="soft">This page has no images.</p>
  <ol v-else class="flush pad-0 sides-0" data-document>
    <li
      v-for="(img, i) in column.images"
      :key="i"
      class="pad-2 sides-0 line-below anywhere"
      data-image
      :data-verdict="img.verdict"
    >
      <div class="mono name t-text" :class="{ gone: img.hidden }">
        {{ img.file ? img.file + img.ext : 'inline image' }}
      </div>
      <div v-if="img.proposal" class="mono">
        <span class="penciled">{{ img.proposal }}</span>
      </div>
      <div class="soft">
        <span v-if="img.verdict === 'wrong_place'" class="stamp">wrong place</span>
        {{ img.verdict_says }}<template v-if="img.hidden"> · hidden</template
        ><template v-if="img.background"> · background</template
        ><template v-if="img.width && img.height"> · {{ img.width }} × {{ img.height }}</template
        ><template v-if="img.link"> · in a link</template
        ><template v-if="img.baked"> · may have text in the image</template>
      </div>
      <div class="soft">
        <template v-if="img.background">backgrounds have no alt text</template>
        <template v-else-if="img.alt === null">no alt text</template>
        <template v-else-if="!img.alt.trim()">empty alt text</template>
        <template v-else
          >alt: <span class="alt" data-alt>{{ img.alt }}</span></template
        ><template v-if="img.heading"> · under “{{ img.heading }}”</template>
      </div>
    </li>
  </ol>
</template>

<style scoped>
.gone {
  opacity: 0.7;
}
.alt {
  color: var(--ink);
}
</style>
