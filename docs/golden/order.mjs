// The order of work and what fits into so many hours, by docs/rules.md 12.4 and 12.5 alone: a part of plan.mjs, which
// shares no code with the program.

const kinds = ['home', 'service', 'area']
const rankOfKind = (k) => (kinds.includes(k) ? kinds.indexOf(k) : 3)
const sum = (list) => list.reduce((a, b) => a + b, 0)

/** Rule 12.4: the order of work. */
export function order(all, client) {
  const tie = (a, b) =>
    rankOfKind(a.kindOfPage) - rankOfKind(b.kindOfPage) || (a.address < b.address ? -1 : a.address > b.address ? 1 : 0) ||
    (a.page < b.page ? -1 : a.page > b.page ? 1 : 0) || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0)
  const done = all.filter((t) => t.hides).sort(tie)
  let fixes = all.filter((t) => t.fix && !t.hides).sort(tie)
  let left = all.filter((t) => !t.fix)
  const home = left.find((t) => t.kind === 'new_page' && t.kindOfPage === 'home')
  const blockers = (t) =>
    left.filter(
      (o) =>
        o !== t &&
        ((o.page === t.page && t.needs.includes('first') && o.opens) ||
          (o.page === t.page && t.needs.includes('lead') && o.kind === 'slice' && o.lead) ||
          (t.makes?.includes(o.page) && o.kind === 'new_page') ||
          (!client.site && o === home)),
    )
  let minutes = 0
  let sliced = 0
  const written = {}
  const put = (t) => {
    minutes += t.minutes
    if (t.kind === 'slice') {
      sliced += t.minutes
      written[t.page] = (written[t.page] ?? 0) + t.words
    }
    done.push(t)
    left = left.filter((o) => o !== t)
    fixes = fixes.filter((o) => o !== t)
  }
  const placed = new Set(left.filter((t) => t.kind === 'placing').map((t) => t.page))
  while (left.length) {
    const free = left.filter((t) => !blockers(t).length)
    const rate = (t) => (t.rank * 60) / t.minutes
    const best = (list) => [...list].sort((a, b) => (Math.abs(rate(b) - rate(a)) > 1e-9 ? rate(b) - rate(a) : tie(a, b)))[0]
    const starved = free.filter((t) => t.kind === 'slice' && !t.standing && t.rank > 0 && t.seen + (written[t.page] ?? 0) < t.low)
    const gainful = free.filter((t) => t.rank > 0)
    let next = best(free)
    if (gainful.length && starved.length && sliced < 0.4 * minutes && rate(best(starved)) >= rate(next) / 10) next = best(starved)
    // Fixes follow the first placing of their page, long ones the last of all, others stand before what shows no gain.
    if (!next.rank) for (const f of [...fixes]) put(f)
    put(next)
    if (next.kind !== 'placing') continue
    for (const f of fixes.filter((f) => f.page === next.page && f.minutes <= 5)) put(f)
    if (!left.some((t) => t.kind === 'placing')) for (const f of fixes.filter((f) => placed.has(f.page))) put(f)
  }
  for (const f of [...fixes]) put(f)
  return done
}

/** Rule 12.5: what fits into so many hours. */
export function fits(list, hours, client) {
  let left = hours * 60
  const taken = new Set()
  const needs = (t) =>
    list.filter(
      (o) =>
        o !== t &&
        ((o.page === t.page && t.needs.includes('first') && o.opens) ||
          (o.page === t.page && t.needs.includes('lead') && o.kind === 'slice' && o.lead) ||
          (t.makes?.includes(o.page) && o.kind === 'new_page') ||
          (!client.site && o.kind === 'new_page' && o.kindOfPage === 'home')),
    )
  const withNeeds = (t, set = new Set()) => {
    if (taken.has(t) || set.has(t)) return set
    set.add(t)
    for (const o of needs(t)) withNeeds(o, set)
    return set
  }
  for (const t of list) {
    if (!t.gain && !t.fix) continue
    const set = withNeeds(t)
    let cost = sum([...set].map((o) => o.minutes))
    // A placing that does not fit is cut to title and h1.
    if (cost > left + 1e-9 && t.short) cost += t.short - t.minutes
    if (cost > left + 1e-9) continue
    left -= cost
    for (const o of set) taken.add(o)
  }
  return list.map((t) => taken.has(t))
}
