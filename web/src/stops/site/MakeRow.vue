<script setup lang="ts">
import ActionButton from '@/ui/ActionButton.vue'
import type { PageDraft, ToMake } from '@/api/types'
import { gain, plural } from '@/parts/format'
import { pageName } from '@/parts/pages'
import type { usePageEdits } from './usePageEdits'

/** A page that the site lacks, in pencil. */
defineProps<{ page: ToMake; edits: ReturnType<typeof usePageEdits> }>()
</script>

<template>
  <tr class="missing" :data-make="page.service + page.place">
    <td>
      <span class="slab penciled fit">{{ pageName(page) }}</span>
      <span v-if="page.phrase" class="under pencil">{{ page.phrase }}</span>
    </td>
    <td class="pencil">no page yet</td>
    <td class="num pencil">–</td>
    <td class="pencil" colspan="2">
      <template v-if="page.gain">about {{ gain(page.gain) }} visits/mo</template>
    </td>
    <td class="pencil">
      <template v-if="page.known">
        {{
          page.have
            ? `${page.have} of ${plural(page.known, 'rival')} ${page.have === 1 ? 'has' : 'have'} one`
            : 'no rival has one'
        }}
      </template>
    </td>
    <td class="to-right">
      <ActionButton
        quiet
        class="pencil"
        :aria-label="`Plan it: ${pageName(page)}`"
        @click="
          edits.plan({ kind: page.kind as PageDraft['kind'], service: page.service, place: page.place })
        "
      >
        Plan it
      </ActionButton>
    </td>
  </tr>
</template>
