import { shallowRef } from 'vue'
import type { Problem } from '@/api/types'

/** Whether an edit was refused because the same thing was changed elsewhere meanwhile. */
export const changedElsewhere = (failure: unknown) =>
  (failure as Problem | null)?.code === 'changed_elsewhere'

/**
 * Edits that can be refused because the same thing was changed elsewhere meanwhile. One that was
 * stays at hand, to be made again over what is there by now, until another edit is made.
 */
export function useEdit() {
  const again = shallowRef<() => Promise<void>>()
  let giveUp = () => {}

  /**
   * Makes an edit; `told` tells it that its user has seen what is there by now, so it is made from
   * that. What comes is known once it was made, at the first or at another try; it is null where
   * it failed or was given up.
   */
  function make<T>(edit: (told: boolean) => Promise<T>): Promise<T | null> {
    giveUp()
    again.value = undefined
    return new Promise((settle) => {
      let told = false
      async function attempt() {
        try {
          settle(await edit(told))
          again.value = undefined
        } catch (failure) {
          if (!changedElsewhere(failure)) return settle(null)
          told = true
          again.value = attempt
          giveUp = () => settle(null)
        }
      }
      void attempt()
    })
  }
  return { make, again }
}
