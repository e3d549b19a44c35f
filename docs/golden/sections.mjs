// The sections of a page with their words, and which families they carry: docs/rules.md 9.3 and 10.1
// alone, for plan.mjs.

const share = { lead: 20, services: 40, questions: 20, places: 10, about: 10 }
const sum = (list) => list.reduce((a, b) => a + b, 0)
const groupOf = { lead: 'lead', service: 'services', aspect: 'services', standing: 'services', questions: 'questions', towns: 'places', about: 'about' }

/** Rule 10.1: the words to write in each section, and the list that short services become. */
export function sections(page, words) {
  let list = page.sections.map((s) => ({ ...s, group: groupOf[s.kind], need: 0, words: 0 }))
  if (!words.write || !list.length) return list
  const counts = {}
  for (const s of list) if (s.group) counts[s.group] = (counts[s.group] ?? 0) + 1
  const shares = sum(Object.keys(counts).map((g) => share[g]))
  for (const s of list) if (s.group) s.need = Math.max(0, (share[s.group] / shares / counts[s.group]) * words.writer - s.holds)
  const lead = list.find((s) => s.kind === 'lead')
  let need = sum(list.map((s) => s.need))
  if (!need) need = lead.need = 1
  for (const s of list) s.need *= words.write / need
  const spread = (but, n) => {
    const rest = list.filter((s) => s !== but && s.need > 0)
    const all = sum(rest.map((s) => s.need))
    for (const s of rest) s.need += (n * s.need) / all
    return rest.length > 0
  }
  const bound = () => {
    const over = lead.need - 250
    if (over > 0 && spread(lead, over)) lead.need -= over
  }
  bound()
  // Services of under 60 words become one list, those of most gain first, 20 to 50 words each.
  const short = list.filter((s) => s.kind === 'service' && !s.there && s.need > 0 && s.need < 60)
  const together = sum(short.map((s) => s.need))
  const order = page.families.slice(1).map((f) => f.service)
  const rank = (s) => (order.includes(s.subject) ? order.indexOf(s.subject) : order.length)
  const names = short.map((s, i) => [s, i]).sort((x, y) => rank(x[0]) - rank(y[0]) || x[1] - y[1]).map(([s]) => s.subject)
  const listed = names.slice(0, Math.floor(together / 20))
  const inList = Math.min(together, 50 * listed.length)
  if (short.length && inList >= 60) {
    const one = { key: 'services', kind: 'services', subjects: listed, holds: 0, there: false, need: inList, words: 0 }
    list = list.flatMap((s) => (s === short[0] ? [one] : short.includes(s) ? [] : [s]))
    if (!spread(one, together - inList)) one.need = together
  }
  for (;;) {
    const small = list.filter((s) => s !== lead && s.need > 0 && s.need < 60)
    if (!small.length) break
    const least = small.reduce((x, y) => (y.need < x.need ? y : x))
    lead.need += least.need
    least.need = 0
  }
  bound() // it holds in the end too: an opening in two parts is none
  if (lead.need < 60) {
    const longest = list.reduce((x, y) => (y.need > x.need ? y : x), lead)
    if (longest !== lead) {
      longest.need += lead.need
      lead.need = 0
    }
  }
  for (const s of list) s.words = Math.floor((s.need + 1e-6) / 10) * 10
  let left = words.write - sum(list.map((s) => s.words))
  const others = list.filter((s) => s !== lead && s.words > 0)
  if (!others.length) others.push(lead)
  for (let n = 0; left > 0; n++) {
    const some = Math.min(10, left)
    others[n % others.length].words += some
    left -= some
  }
  return list
}

/** Rules 9.3 and 10.1: which section carries which further family. */
export function given(page, list, room) {
  const out = {}
  let turn = 0
  const carries = (s) => s.words > 0 && !['service', 'services', 'about', 'towns', 'questions'].includes(s.kind)
  for (const f of page.families.slice(1, room)) {
    let at = list.find((s) => s.words > 0 && ((s.kind === 'service' && s.subject === f.service) || (s.kind === 'services' && s.subjects.includes(f.service))))
    if (f.place && f.place !== page.place) at = list.find((s) => s.kind === 'towns' && s.words > 0) ?? at
    for (let n = 0; n < list.length && !at; n++) {
      const s = list[turn++ % list.length]
      if (carries(s)) at = s
    }
    out[f.key] = (at ?? list[0])?.key
  }
  return out
}
