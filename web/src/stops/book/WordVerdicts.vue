<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import { useMutation } from '@tanstack/vue-query'
import { judgeWordMutation } from '@/api/calls'
import type { Book, Verdict } from '@/api/types'
import NoticeLine from '@/ui/NoticeLine.vue'
import { useUndo } from '@/parts/undo'
import { saying, told, verdicts } from './words'

/** What was said of words, and the words by which families were set aside as businesses. */
const props = defineProps<{ client: number; book: Book }>()
const judge = useMutation(judgeWordMutation())
const undo = useUndo()

async function say(word: string, verdict: Verdict, before: Verdict) {
  const book = await judge
    .mutateAsync({ path: { client: props.client }, body: { word, verdict } })
    .catch(() => null)
  if (book)
    undo.offer(saying(told(word, verdict), book.changed), () =>
      judge.mutateAsync({ path: { client: props.client }, body: { word, verdict: before } }),
    )
}
const saysOf = (v: Verdict) => verdicts.find((x) => x.verdict === v)?.says ?? 'our service'
const judgedAlready = (word: string) => props.book.verdicts.some((v) => v.word === word)
</script>

<template>
  <section aria-label="Words judged">
    <template v-if="book.verdicts.length">
      <h2 class="t-lead">Words judged</h2>
      <ul class="lines" data-judged>
        <li v-for="v in book.verdicts" :key="v.word">
          <span
            ><b>{{ v.word }}</b> <span class="soft">{{ saysOf(v.verdict) }}</span></span
          >
          <ActionButton quiet :disabled="judge.isPending.value" @click="say(v.word, '', v.verdict)">
            Remove
          </ActionButton>
        </li>
      </ul>
    </template>
    <template v-if="book.firms.some((u) => !judgedAlready(u.word))">
      <h2 class="t-lead">Words in business names</h2>
      <ul class="lines">
        <li v-for="u in book.firms.filter((f) => !judgedAlready(f.word)).slice(0, 12)" :key="u.word">
          <span
            ><b>{{ u.word }}</b> <span class="soft">in {{ u.phrases }}</span></span
          >
          <ActionButton quiet :disabled="judge.isPending.value" @click="say(u.word, 'ordinary', '')">
            Not a business
          </ActionButton>
        </li>
      </ul>
    </template>
    <NoticeLine :fault="judge.error.value" />
  </section>
</template>
