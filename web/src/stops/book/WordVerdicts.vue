<script setup lang="ts">
import { ref } from 'vue'
import { useBookChanges, type Verdict } from '@/api/book'
import type { Book } from '@/api/client'
import { plural } from '@/parts/format'
import { useUndo } from '@/parts/undo'

/** Words that are in no list, for a verdict; and words that are treated as one. */
const props = defineProps<{ client: number; book: Book }>()
const { judge } = useBookChanges(() => props.client)
const undo = useUndo()
const tie = ref({ word: '', to: '' })

const verdicts: { verdict: Verdict; says: string }[] = [
  { verdict: 'brand', says: 'business name' },
  { verdict: 'elsewhere', says: 'other place' },
  { verdict: 'service', says: 'our service' },
  { verdict: 'ordinary', says: 'common word' },
]

async function say(word: string, verdict: Verdict, to = '') {
  const ok = await judge.mutateAsync({ word, verdict, tied_to: to }).catch(() => null)
  if (ok) undo.offer(`“${word}” judged`, () => judge.mutateAsync({ word, verdict: '', tied_to: '' }))
  return !!ok
}

/** Ties every likely slip to the word that it is likely to mean; undone as one. */
async function tieAll() {
  const slips = [...props.book.slips]
  for (const s of slips)
    await judge.mutateAsync({ word: s.word, verdict: '', tied_to: s.meant }).catch(() => null)
  undo.offer(`${plural(slips.length, 'word')} tied`, async () => {
    for (const s of slips) await judge.mutateAsync({ word: s.word, verdict: '', tied_to: '' })
  })
}

async function tieUp() {
  if (await say(tie.value.word, '', tie.value.to)) tie.value = { word: '', to: '' }
}
</script>

<template>
  <div>
    <template v-if="book.slips.length">
      <h2>
        Likely typos
        <button class="link" type="button" :disabled="judge.isPending.value" @click="tieAll">
          Tie all {{ book.slips.length }}
        </button>
      </h2>
      <ul>
        <li v-for="s in book.slips.slice(0, 12)" :key="s.word + s.meant" class="slip">
          <span
            ><b>{{ s.word }}</b> for {{ s.meant }} <span class="soft">in {{ s.phrases }}</span></span
          >
          <button
            class="link"
            type="button"
            :disabled="judge.isPending.value"
            @click="say(s.word, '', s.meant)"
          >
            Tie
          </button>
        </li>
      </ul>
    </template>
    <template v-if="book.firms.length">
      <h2>Words in business names</h2>
      <ul>
        <li v-for="u in book.firms.slice(0, 12)" :key="u.word" class="slip">
          <span
            ><b>{{ u.word }}</b> <span class="soft">in {{ u.phrases }}</span></span
          >
          <button
            class="link"
            type="button"
            :disabled="judge.isPending.value"
            @click="say(u.word, 'ordinary')"
          >
            Not a business
          </button>
        </li>
      </ul>
    </template>
    <h2>Unknown words</h2>
    <p v-if="!book.unfamiliar.length" class="soft">No unknown words.</p>
    <ul data-unfamiliar>
      <li v-for="u in book.unfamiliar" :key="u.word">
        <b>{{ u.word }}</b> <span class="soft">in {{ u.phrases }}</span>
        <div class="acts">
          <button
            v-for="v in verdicts"
            :key="v.verdict"
            class="link"
            type="button"
            :disabled="judge.isPending.value"
            @click="say(u.word, v.verdict)"
          >
            {{ v.says }}
          </button>
        </div>
      </li>
    </ul>
    <h2>Words treated as one</h2>
    <p v-for="group in book.ties" :key="group[0]">
      {{ group.join(' = ') }}
      <button v-for="word in group.slice(1)" :key="word" class="link" type="button" @click="say(word, '')">
        separate {{ word }}
      </button>
    </p>
    <form @submit.prevent="tieUp">
      <input v-model="tie.word" class="field" name="tied" aria-label="A word" placeholder="sweeper" />
      <span>is</span>
      <input
        v-model="tie.to"
        class="field"
        name="tied-to"
        aria-label="The word it means"
        placeholder="sweep"
      />
      <button class="press" type="submit" :disabled="!tie.word || !tie.to">Tie</button>
    </form>
    <p v-if="judge.error.value" class="mistake" role="alert">{{ judge.error.value.message }}</p>
  </div>
</template>

<style scoped>
h2 .link {
  font: 400 12.5px var(--sans);
  margin-left: 6px;
}
h2 {
  font-size: 15px;
  margin: 14px 0 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}
.slip {
  display: flex;
  justify-content: space-between;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  font-size: 12px;
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
