<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { judgeWordMutation } from '@/api/calls'
import type { Book, Verdict } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import { gainOf } from './family'
import { saying, told, verdicts } from './words'

/** Words that nothing is known of: judged by keys 1 to 5, from row to row. */
const props = defineProps<{ client: number; words: Book['unfamiliar'] }>()
const emit = defineEmits<{ show: [word: string] }>()
const judge = useMutation(judgeWordMutation())
const undo = useUndo()

const list = ref<HTMLElement>()
const at = ref(0)

async function go(to: number) {
  at.value = Math.max(0, Math.min(props.words.length - 1, to))
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('li')[at.value]?.focus()
}

async function say(word: string, verdict: Verdict) {
  if (judge.isPending.value) return
  const book = await judge
    .mutateAsync({ path: { client: props.client }, body: { word, verdict } })
    .catch(() => null)
  if (!book) return
  undo.offer(saying(told(word, verdict), book.changed), () =>
    judge.mutateAsync({ path: { client: props.client }, body: { word, verdict: '' } }),
  )
  await go(at.value) // the next word has come to this row
}

function press(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const word = props.words[at.value]
  const verdict = verdicts.find((v) => v.key === event.key)?.verdict
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (word && verdict) void say(word.word, verdict)
  else if (word && event.key === 'Enter') emit('show', word.word)
  else if (step) void go(at.value + step)
  else return
  event.preventDefault()
  event.stopPropagation() // the figures go to the stops elsewhere
}
defineExpose({ start: () => go(0) })

const route = useRoute()
onMounted(() => route.hash === '#words' && void go(0))
</script>

<template>
  <section aria-label="Words to judge">
    <h2 class="t-lead">
      Words to judge <span class="soft">{{ words.length }}</span>
    </h2>
    <p v-if="!words.length" class="soft">Every word is known.</p>
    <template v-else>
      <p class="soft mb-1 t-small">
        They make phrases unsure, those with the most gain first. Keys <span class="kbd">1</span> to
        <span class="kbd">5</span>, arrows to move, Enter shows the phrases.
      </p>
      <ol ref="list" class="flush pad-0 sides-0 scroll-y" data-unfamiliar @keydown="press">
        <li
          v-for="(w, i) in words"
          :key="w.word"
          class="pad-1 sides-2 line-below anywhere"
          :tabindex="i === at ? 0 : -1"
          :class="{ now: i === at }"
          :aria-current="i === at || undefined"
          @focus="at = i"
          @click="at = i"
        >
          <span class="word flow apart gap-2">
            <b>{{ w.word }}</b>
            <span class="soft"
              >{{ plural(w.families, 'family', 'families')
              }}<template v-if="w.gain >= 0.05">, +{{ gainOf(w) }}</template></span
            >
          </span>
          <div v-if="i === at" class="now">
            <span class="soft">{{ w.example }}</span>
            <button
              v-for="v in verdicts"
              :key="v.key"
              class="quiet verdict to-left pad-0 sides-0"
              type="button"
              tabindex="-1"
              :disabled="judge.isPending.value"
              @click.stop="say(w.word, v.verdict)"
            >
              <span class="kbd">{{ v.key }}</span> {{ v.says }}
            </button>
            <ActionButton quiet tabindex="-1" @click.stop="say(w.word, 'ours')"> our service </ActionButton>
          </div>
        </li>
      </ol>
    </template>
    <NoticeLine :fault="judge.error.value" />
  </section>
</template>

<style scoped>
ol {
  max-height: 46vh;
}
li {
  cursor: default;
}
li.now {
  background: var(--pencil-wash);
}
.word .soft {
  font-size: var(--small);
  white-space: nowrap;
}
div.now {
  display: grid;
  gap: var(--s0);
  padding: var(--s0) 0 var(--s1);
  font-size: var(--small);
}
.verdict:hover {
  color: var(--pencil);
}
div.now .link {
  justify-self: start;
  margin-left: var(--s6);
}
</style>
