import type { ReadMode, Site } from '@/api/types'

/** A way to have a page that was not read; without a mode it is pasted. */
export interface WayOut {
  says: string
  tells: string
  mode?: ReadMode
}

const paste: WayOut = { says: 'Paste it', tells: 'Open the page in your browser, copy it, and paste it here' }
const again: WayOut[] = [
  { says: 'Read again', tells: 'Ask the site once more', mode: '' },
  {
    says: 'As rendered',
    tells: 'Open it in a browser of the program: some sites answer nothing else',
    mode: 'rendered',
  },
]

/** What helps with a page, by why it was not read: what its site refuses to programs is pasted by a person. */
export function waysOut(reason: Site['missed'][number]['reason']): WayOut[] {
  switch (reason) {
    case 'refused':
      return [paste]
    case 'left_out':
      return [{ says: 'Read it', tells: 'Read this page alone', mode: '' }]
    case 'failed':
      return [...again, paste]
  }
}
