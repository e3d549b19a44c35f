import { ref, watch } from 'vue'
import { useAddress } from '@/parts/address'
import { emptyFilter, type Filter } from './filter'

/** What of the book is shown, as the address has it: it is there again when somebody comes back. */
export function useFilter() {
  const address = useAddress()
  const usual = emptyFilter()
  const names = Object.keys(usual) as (keyof Filter)[]

  const inAddress = (f: Filter) =>
    Object.fromEntries(
      names.map((name) => [name, f[name] === usual[name] ? '' : f[name] === true ? 'yes' : String(f[name])]),
    )
  const read = () => ({
    ...usual,
    ...Object.fromEntries(
      names
        .map((name) => [name, address.text(name)] as const)
        .filter(([, value]) => value)
        .map(([name, value]) => [name, name === 'near' ? true : value]),
    ),
  })
  const filter = ref<Filter>(read())
  watch(filter, (now) => address.set(inAddress(now)), { deep: true })
  watch(
    () => JSON.stringify(names.map(address.text)),
    () => {
      const now = read()
      if (JSON.stringify(now) !== JSON.stringify(filter.value)) filter.value = now
    },
  )
  return filter
}
