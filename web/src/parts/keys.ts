import { onKeyStroke } from '@vueuse/core'

/** What of a pressed key is looked at. */
export type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'target'>

/** Keys that work in fields too. */
const everywhere = ['mod+k', 'Escape']

/** Whether what has the focus takes letters. */
export function isField(target: unknown): boolean {
  const at = target as Partial<HTMLElement> | null
  return !!at?.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(at?.tagName ?? '')
}

/**
 * The name under which shortcuts know a key: "n", "Escape", or "mod+k" with Ctrl
 * or Command. It is empty for what is typed in a field.
 */
export function shortcut(pressed: Pressed): string {
  if (pressed.altKey) return ''
  const mod = pressed.ctrlKey || pressed.metaKey
  const name = mod ? `mod+${pressed.key.toLowerCase()}` : pressed.key
  return isField(pressed.target) && !everywhere.includes(name) ? '' : name
}

/** Runs shortcuts by name; one that returns false leaves the key to the browser. */
export function useShortcuts(shortcuts: Record<string, () => unknown>) {
  onKeyStroke((event) => {
    const run = shortcuts[shortcut(event)]
    if (run && run() !== false) event.preventDefault()
  })
}
