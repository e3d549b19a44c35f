import { onKeyStroke, useLocalStorage } from '@vueuse/core'
import { computed, onScopeDispose, shallowReactive } from 'vue'

/** What of a pressed key is looked at. */
export type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'target'>

/** What can be done in a view, by its key, in help, and by its words in find. */
export interface Command {
  /** "w", "Escape", or "mod+k" with Ctrl or Command; empty for one that has no key. */
  key: string
  says: string
  /** Returns false to leave the key to the browser. */
  run: () => unknown
  /** It needs a row at hand: find does not offer it. */
  ofRow?: boolean
}

/** Keys that work in fields too. */
const everywhere = ['mod+k', 'Escape']

/** Whether what has the focus takes letters. */
export function isField(target: unknown): boolean {
  const at = target as Partial<HTMLElement> | null
  return !!at?.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(at?.tagName ?? '')
}

/** Whether what has the focus is a control: letters are for it, not for the view. A row is none. */
export function isControl(target: unknown): boolean {
  if (isField(target)) return true
  const at = target as Partial<HTMLElement> | null
  const role = at?.getAttribute?.('role') ?? ''
  if (role === 'row') return false
  return (
    /^(BUTTON|A|SUMMARY|LABEL)$/.test(at?.tagName ?? '') ||
    /^(button|link|tab|option|menuitem|checkbox|switch|combobox|listbox|dialog)$/.test(role)
  )
}

/**
 * The name under which shortcuts know a key. It is empty for what is typed in a field, and for a single key
 * while a control has the focus.
 */
export function shortcut(pressed: Pressed): string {
  if (pressed.altKey) return ''
  const mod = pressed.ctrlKey || pressed.metaKey
  const name = mod ? `mod+${pressed.key.toLowerCase()}` : pressed.key
  if (everywhere.includes(name)) return name
  return (mod ? isField(pressed.target) : isControl(pressed.target)) ? '' : name
}

/** Whether keys of one letter or figure run anything; a person can switch them off. */
export const singleKeys = useLocalStorage('single keys', true)

const isSingle = (key: string) => key.length === 1

/* The commands of what is on the screen, those of the innermost part last. */
const registered = shallowReactive<Command[][]>([])

/** All that can be done by now, for help; and that of the innermost part first, for find. */
export const commands = computed(() => registered.flat())
export const nearest = computed(() => [...registered].reverse().flat())

/** Makes commands known, and their keys work, as long as a part is on the screen. */
export function useCommands(list: Command[]) {
  registered.push(list)
  onScopeDispose(() => registered.splice(registered.indexOf(list), 1))
}

/** How a key is written. */
export const keyName = (key: string) =>
  ({ 'mod+k': 'Ctrl K', 'mod+z': 'Ctrl Z', ' ': 'Space', Escape: 'Esc', ArrowDown: '↓ ↑' })[key] ?? key

/** Listens for the keys of all commands; of two with one key the inner one runs. */
export function useKeys() {
  onKeyStroke((event) => {
    const key = shortcut(event)
    if (!key || event.defaultPrevented || (isSingle(key) && !singleKeys.value)) return
    for (const command of [...commands.value].reverse())
      if (command.key === key && command.run() !== false) return event.preventDefault()
  })
}
