<script setup lang="ts">
import type { Proof } from '@/api/types'
import { count } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** What a draft has and lacks of its page's targets. */
defineProps<{ report: Proof }>()
</script>

<template>
  <div data-proof>
    <p v-if="!report.short" class="done t-lead">Nothing is missing.</p>
    <p v-if="report.menu" class="mistake">
      The draft holds menus and links only. Leave them out and paste the text of the page.
    </p>
    <p v-if="report.language" class="mistake">
      The draft seems to be in another language than the client’s ({{ report.language }}).
    </p>
    <section v-if="report.wrong.length">
      <h2>To take out</h2>
      <ul class="flush pad-0 sides-0">
        <li v-for="w in report.wrong" :key="w" class="pad-1 sides-0">
          <span class="stamp">wrong</span> {{ w }}
        </li>
      </ul>
    </section>
    <section v-if="report.sections.length">
      <h2>Words by section</h2>
      <div
        v-for="s in report.sections"
        :key="s.key"
        class="line grid gap-2 on-mid line-below"
        :data-section="s.key"
        :data-left="s.left"
      >
        <span :class="s.left ? 'pencil' : ''">{{ s.heading }}</span>
        <TallyStrokes :words="s.words" :write="s.left" :height="14" :most="4" />
        <span class="num soft">{{ s.words ? count(s.words) : '' }}</span>
        <span class="num" :class="{ pencil: s.left }">{{
          s.left ? `${count(s.left)} to write` : 'enough'
        }}</span>
      </div>
    </section>
    <section v-if="report.missing.length">
      <h2>Missing</h2>
      <div
        v-for="m in report.missing"
        :key="m.key"
        class="say grid gap-2 pad-1 sides-0 line-below"
        :data-missing="m.key"
      >
        <span>{{ m.name }}</span>
        <span class="pencil">{{ m.says }}</span>
        <span class="soft">{{ m.note }}</span>
      </div>
    </section>
    <section v-if="report.over.length">
      <h2>Too often</h2>
      <div v-for="m in report.over" :key="m.key" class="say grid gap-2 pad-1 sides-0 line-below">
        <span>{{ m.name }}</span><span>{{ m.says }}</span
        ><span class="soft">{{ m.note }}</span>
      </div>
    </section>
    <section v-if="report.met.length">
      <h2>There</h2>
      <div
        v-for="m in report.met"
        :key="m.key"
        class="say met grid gap-2 pad-1 sides-0 line-below soft"
        :data-met="m.key"
      >
        <span>{{ m.name }}</span>
        <span>{{ m.phrase }}</span>
      </div>
    </section>
  </div>
</template>

<style scoped src="./report.css"></style>
<style scoped>
.line {
  grid-template-columns: minmax(0, 1fr) var(--w16) var(--w7) var(--w15);
  min-height: var(--w4);
}
.say {
  grid-template-columns: var(--w15) minmax(0, 1fr) auto;
}
</style>
