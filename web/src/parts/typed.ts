import { ref, shallowRef, watch, type Ref } from 'vue'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/**
 * Fields that are typed in while what they come from can change elsewhere. A field that nobody
 * typed in follows; one that somebody did stays, and so does what it was typed over, until its
 * user has been told.
 */
export function useTyped<T extends object>(now: () => T | undefined) {
  const form = ref(copy(now())) as Ref<T | undefined>
  const base = shallowRef(copy(now()))
  let told = false
  const keys = (of: T) => Object.keys(of) as (keyof T)[]

  function follow(came: T | undefined) {
    if (!came) return
    if (!form.value || !base.value) {
      form.value = copy(came)
      base.value = copy(came)
      return
    }
    const shown = copy(came)!
    const from = copy(came)!
    for (const key of keys(came))
      if (!same(form.value[key], base.value[key]) && !same(form.value[key], came[key])) {
        shown[key] = form.value[key]
        if (!told) from[key] = base.value[key]
      }
    told = false
    base.value = from
    if (!same(form.value, shown)) form.value = shown
  }
  watch(now, follow)

  /** What the fields were when the typing in each began. */
  const was = () => copy(told ? now() : base.value)
  /** The fields that were typed in. */
  const typed = () => {
    const from = was()
    return from && form.value ? keys(from).filter((key) => !same(form.value![key], from[key])) : []
  }
  /** Its user was told what stands there by now: the next save is made over that. */
  const tell = () => void (told = true)

  /** Takes what came of a save: what was sent is there now, but for what was typed since. */
  function saved(sent: T, came: T) {
    const from = was()
    told = false
    if (!from || !form.value) return follow(came)
    const next = { ...from }
    const shown = { ...form.value }
    for (const key of keys(came))
      if (!same(sent[key], from[key])) {
        next[key] = copy(came[key])!
        if (same(shown[key], sent[key])) shown[key] = copy(came[key])!
      }
    base.value = next
    form.value = shown
    follow(came)
  }
  return { form, was, typed, tell, saved }
}

const copy = <T>(value: T | undefined): T | undefined =>
  value === undefined ? undefined : JSON.parse(JSON.stringify(value))
