import type { Slots } from '@/api/types'

export type SlotName = Exclude<keyof Slots, 'total' | 'elsewhere'>

/** The slots as every placement mark shows them, in four groups. */
export const groups: { name: string; slots: SlotName[] }[] = [
  { name: 'page', slots: ['title', 'description', 'address'] },
  { name: 'head', slots: ['h1', 'subheads'] },
  { name: 'text', slots: ['opening', 'body', 'links'] },
  { name: 'pics', slots: ['image_names', 'alt'] },
]

export const slots: SlotName[] = groups.flatMap((g) => g.slots)

export const slotLabels: Record<SlotName | 'elsewhere', string> = {
  title: 'Title',
  description: 'Meta description',
  address: 'URL',
  h1: 'H1',
  subheads: 'Subheads',
  opening: 'Opening',
  body: 'Body',
  links: 'Links',
  image_names: 'Image file names',
  alt: 'Alt texts',
  elsewhere: 'Menus and footer',
}
