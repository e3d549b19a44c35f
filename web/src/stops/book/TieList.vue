<script setup lang="ts">
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
      <h2>
        May mean the same
        <button class="link" type="button" :disabled="tie.isPending.value" data-tie-all @click="all">
          Tie all {{ proposed.length }}
        </button>
      </h2>
      <ul class="lines" data-proposed>
        <li v-for="t in proposed" :key="t.word">
          <span
            ><b>{{ t.word }}</b> for {{ t.means }} <span class="soft">in {{ t.phrases }}</span></span
          >
          <button class="link" type="button" :disabled="tie.isPending.value" @click="one(t)">Tie</button>
        </li>
      </ul>
    </template>
    <template v-if="made.length">
      <h2>
        Read as the same <span class="soft">{{ made.length }}</span>
      </h2>
      <ul class="lines" data-made>
        <li v-for="t in made" :key="t.word">
          <span
            ><b>{{ t.word }}</b> for {{ t.means }} <span class="soft">in {{ t.phrases }}</span></span
          >
          <button class="link" type="button" :disabled="tie.isPending.value" @click="apart(t.word)">
            Separate
          </button>
        </li>
      </ul>
    </template>
    <h2>Words treated as one</h2>
    <p v-for="group in book.ties" :key="group[0]">
      {{ group.join(' = ') }}
      <button v-for="word in group.slice(1)" :key="word" class="link" type="button" @click="forget(word)">
        separate {{ word }}
      </button>
    </p>
    <form @submit.prevent="tieUp">
      <input v-model="own.word" class="field" name="tied" aria-label="A word" placeholder="e.g. sweeper" />
      <span>is</span>
      <input
        v-model="own.means"
        class="field"
        name="tied-to"
        aria-label="The word it means"
        placeholder="e.g. sweep"
      />
      <button class="press" type="submit" :disabled="!own.word || !own.means">Tie</button>
    </form>
    <NoticeLine :fault="tie.error.value" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 15px;
  margin: 14px 0 4px;
}
h2 .link {
  font: 400 12.5px var(--sans);
  margin-left: 6px;
}
ul {
  max-height: 30vh;
  overflow-y: auto;
}
form {
  display: flex;
  gap: 8px;
  align-items: center;
}
.field {
  min-width: 0;
}
.press {
  padding: 4px 10px;
}
</style>
