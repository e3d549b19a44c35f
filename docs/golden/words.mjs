// Words as the rules count them (docs/rules.md 2.4, 2.6), for the parts of plan.mjs.

export const small = 'a an and at by for from in near of on or our the to with your'.split(' ')

export const tokens = (s) => s.toLowerCase().match(/[\p{L}\p{Nd}]+/gu) ?? []

/** The words of a text without small ones. */
export const content = (s) => tokens(s.replaceAll('&', ' and ')).filter((t) => !small.includes(t)).join(' ')
