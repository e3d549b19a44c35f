<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { tieWordsMutation } from '@/api/calls'
import type { Book } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { computed, ref } from 'vue'
import { plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'
import { saying } from './words'

/** Words that mean the same: those made by themselves, those proposed, and one's own. */
const props = defineProps<{ client: number; book: Book }>()
const tie = useMutation(tieWordsMutation())
const undo = useUndo()
const own = ref({ word: '', means: '' })

const made = computed(() => props.book.likely.filter((t) => t.made))
const proposed = computed(() => props.book.likely.filter((t) => !t.made))

type Tie = { word: string; means: string }
async function say(ties: Tie[], sentence: string) {
  const book = await tie.mutateAsync({ path: { client: props.client }, body: { ties } }).catch(() => null)
  if (!book) return false
  undo.offer(saying(sentence, book.changed), () =>
    tie.mutateAsync({
      path: { client: props.client },
      body: { ties: ties.map((t) => ({ word: t.word, means: '' })) },
    }),
  )
  return true
}
const one = (t: Tie) => say([{ word: t.word, means: t.means }], `“${t.word}” read as “${t.means}”`)
const apart = (word: string) => say([{ word, means: word }], `“${word}” read as it is`)
const all = () =>
  say(
    proposed.value.map((t) => ({ word: t.word, means: t.means })),
    `${plural(proposed.value.length, 'word')} tied`,
  )
const forget = (word: string) => say([{ word, means: '' }], `“${word}” left to the rule`)
async function tieUp() {
  if (await one(own.value)) own.value = { word: '', means: '' }
}
</script>

<template>
  <section aria-label="Words that mean the same">
    <template v-if="proposed.length">
      <h2 class="t-lead">
        May mean the same
        <ActionButton quiet :disabled="tie.isPending.value" data-tie-all @click="all">
          Tie all {{ proposed.length }}
        </ActionButton>
      </h2>
      <ul class="lines scroll-y" data-proposed>
        <li v-for="t in proposed" :key="t.word">
          <span
            ><b>{{ t.word }}</b> for {{ t.means }} <span class="soft">in {{ t.phrases }}</span></span
          >
          <ActionButton quiet :disabled="tie.isPending.value" @click="one(t)">Tie</ActionButton>
        </li>
      </ul>
    </template>
    <template v-if="made.length">
      <h2 class="t-lead">
        Read as the same <span class="soft">{{ made.length }}</span>
      </h2>
      <ul class="lines scroll-y" data-made>
        <li v-for="t in made" :key="t.word">
          <span
            ><b>{{ t.word }}</b> for {{ t.means }} <span class="soft">in {{ t.phrases }}</span></span
          >
          <ActionButton quiet :disabled="tie.isPending.value" @click="apart(t.word)"> Separate </ActionButton>
        </li>
      </ul>
    </template>
    <h2 class="t-lead">Words treated as one</h2>
    <p v-for="group in book.ties" :key="group[0]">
      {{ group.join(' = ') }}
      <ActionButton v-for="word in group.slice(1)" :key="word" quiet @click="forget(word)">
        separate {{ word }}
      </ActionButton>
    </p>
    <form class="flow gap-2 on-mid" @submit.prevent="tieUp">
      <input
        v-model="own.word"
        class="field slim"
        name="tied"
        aria-label="A word"
        placeholder="e.g. sweeper"
      />
      <span>is</span>
      <input
        v-model="own.means"
        class="field slim"
        name="tied-to"
        aria-label="The word it means"
        placeholder="e.g. sweep"
      />
      <ActionButton submit class="pad-1 sides-2" :disabled="!own.word || !own.means">Tie</ActionButton>
    </form>
    <NoticeLine :fault="tie.error.value" />
  </section>
</template>

<style scoped>
h2 .link {
  font: 400 var(--small) var(--sans);
  margin-left: var(--s2);
}
ul {
  max-height: 30vh;
}
</style>
