<script setup lang="ts">
import type { Proof } from '@/api/types'
import { count } from '@/parts/format'
import TallyStrokes from '@/parts/TallyStrokes.vue'

/** What a draft has and lacks of its page's targets. */
defineProps<{ report: Proof }>()
</script>

<template>
  <div data-proof>
    <p v-if="!report.short" class="done">Nothing is missing.</p>
    <p v-if="report.menu" class="mistake">
      The draft holds menus and links only. Leave them out and paste the text of the page.
    </p>
    <p v-if="report.language" class="mistake">
      The draft seems to be in another language than the client’s ({{ report.language }}).
    </p>
    <section v-if="report.wrong.length">
      <h2>To take out</h2>
      <ul>
        <li v-for="w in report.wrong" :key="w"><span class="stamp">wrong</span> {{ w }}</li>
      </ul>
    </section>
    <section v-if="report.sections.length">
      <h2>Words by section</h2>
      <div v-for="s in report.sections" :key="s.key" class="line" :data-section="s.key" :data-left="s.left">
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
      <div v-for="m in report.missing" :key="m.key" class="say" :data-missing="m.key">
        <span>{{ m.name }}</span>
        <span class="pencil">{{ m.says }}</span>
        <span class="soft">{{ m.note }}</span>
      </div>
    </section>
    <section v-if="report.over.length">
      <h2>Too often</h2>
      <div v-for="m in report.over" :key="m.key" class="say">
        <span>{{ m.name }}</span><span>{{ m.says }}</span
        ><span class="soft">{{ m.note }}</span>
      </div>
    </section>
    <section v-if="report.met.length">
      <h2>There</h2>
      <div v-for="m in report.met" :key="m.key" class="say met" :data-met="m.key">
        <span>{{ m.name }}</span>
        <span>{{ m.phrase }}</span>
      </div>
    </section>
  </div>
</template>

<style scoped src="./report.css"></style>
<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 3px 0;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 128px 50px 110px;
  gap: 10px;
  align-items: center;
  min-height: 27px;
  border-bottom: 1px solid var(--rule);
}
.say {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
.met {
  color: var(--ink-soft);
}
.done {
  font-size: 16px;
}
</style>
