/** One of the values that can be chosen, and what it is called. */
export interface Choice<V> {
  value: V
  says: string
}

/** Choices of values, each by its name; a text is its own name. */
export const named = <V extends string | number>(
  values: readonly V[],
  name: (value: V) => string = String,
): Choice<V>[] => values.map((value) => ({ value, says: name(value) }))
