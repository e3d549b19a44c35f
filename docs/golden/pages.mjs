// Which page holds which family, and which pages are to be made, by docs/rules.md 3.10, 9.1 and 9.2 alone: a part
// of plan.mjs, which shares no code with the program.

import { tokens } from './words.mjs'

const areaGain = 5 // visits from which a town gets a page of its own
const most = 12 // families that a page is measured for

/** The stems of a text's words, as the program gives them. */
export const stemsOf = (s, client) => tokens(s).map((t) => client.stems[t] ?? t)

const holdsAll = (stems, wanted) => wanted.length > 0 && wanted.every((w) => stems.includes(w))

/** The service of a text: that of the longest form that it holds whole. */
function serviceOf(s, client) {
  const stems = stemsOf(s, client)
  let best = { name: '', length: 0 }
  for (const { name, forms } of client.services) {
    for (const form of [name, ...forms]) {
      const wanted = stemsOf(form, client)
      if (holdsAll(stems, wanted) && wanted.length > best.length) best = { name, length: wanted.length }
    }
  }
  return best.name
}

/** How much of title, H1 and URL names what a page is for. */
function says(page, client) {
  const last = (page.url ?? '').replace(/\/+$/, '').split('/').slice(3).pop() ?? ''
  return [page.title ?? '', page.h1 ?? '', last].filter((s) =>
    page.kind === 'area' ? holdsAll(tokens(s), tokens(page.place)) : serviceOf(s, client) === page.service,
  ).length
}

const compare = (a, b) => (a < b ? -1 : a > b ? 1 : 0)

/** Rule 9.1: of several pages for one thing the one of which most says so, then that with more copy, then by URL. */
function claim(client, kind, service, place) {
  return client.pages
    .filter((p) => p.key.startsWith('p') && p.kind === kind && p.service === service && (p.place || client.home) === place)
    .sort((a, b) => says(b, client) - says(a, client) || b.copy - a.copy || compare(a.url, b.url))[0]?.key
}

/** Rules 3.10 and 9.2: what is searched for more, ties without a word of hiring, of fewer words, of fewer letters. */
const searched = (a, b) =>
  b.volume - a.volume || a.urges - b.urges || tokens(a.text).length - tokens(b.text).length || a.text.length - b.text.length ||
  compare(a.text, b.text)

/** The page of each family of the book, by its key; a page to make goes by what it is for. */
function carriers(client) {
  const main = client.services[0]?.name ?? ''
  const atHome = (f) => !f.place || f.place === client.home
  const home = client.pages.find((p) => p.kind === 'home')?.key ?? ''
  const first = client.book.filter((f) => !f.under && !f.near && f.service === main && atHome(f)).sort(searched)[0]
  const gains = {}
  for (const f of client.book) gains[f.place] = (gains[f.place] ?? 0) + f.gain

  function elsewhere(f) {
    const own = f.service && claim(client, 'service', f.service, f.place)
    if (own) return own
    const area = [f.service, '', main].map((s) => claim(client, 'area', s, f.place)).find(Boolean)
    return area ?? (gains[f.place] >= areaGain ? `area: ${f.place}` : undefined)
  }
  function pageOf(f) {
    if (f.typed) return f.typed
    const there = atHome(f) ? undefined : elsewhere(f)
    if (there) return there
    const own = claim(client, 'service', f.service, client.home)
    if (f.service && f.service !== main) return own ?? `service: ${f.service}`
    return own && f.service && f !== first ? own : home
  }
  const at = {}
  for (const f of client.book) at[f.key] = pageOf(f)
  for (const f of client.book) if (f.under && !f.typed && at[f.under]) at[f.key] = at[f.under]
  return at
}

/** Rules 9.1 and 11: the pages that are to be made. */
function toMake(client, at) {
  const has = (kind, what) => client.pages.some((p) => p.key.startsWith('p') && p.kind === kind && (kind === 'area' ? p.place : p.service) === what)
  const make = new Set(client.services.slice(1).filter((s) => !has('service', s.name)).map((s) => `service: ${s.name}`))
  for (const f of client.book) if (!f.under && !f.near && /^(service|area): /.test(at[f.key])) make.add(at[f.key])
  for (const town of client.towns_of_rivals) if (!has('area', town)) make.add(`area: ${town}`)
  return make
}

/** Gives each page its families: its first one, then by gain. What the figures say otherwise is a mistake. */
export function choosePages(client) {
  const at = carriers(client)
  const make = toMake(client, at)
  const given = client.pages.map((p) => p.key).filter((k) => /^(service|area): /.test(k))
  const differ = [...make].filter((k) => !given.includes(k)).concat(given.filter((k) => !make.has(k)))
  if (differ.length) throw new Error(`pages to make: ${differ.join(', ')}`)
  for (const page of client.pages) {
    const rows = client.book
      .filter((f) => at[f.key] === page.key && !f.under && !f.near)
      .sort((a, b) => b.row_gain - a.row_gain || b.own_volume - a.own_volume || b.uncounted - a.uncounted || a.urges - b.urges || compare(a.text, b.text))
    const [first] = [...rows].sort(searched)
    const chosen = (first ? [first, ...rows.filter((f) => f !== first)] : []).slice(0, most)
    const measured = Object.fromEntries(page.families.map((f) => [f.key, f]))
    const strange = page.families.filter((f) => !chosen.some((c) => c.key === f.key))
    const missing = chosen.filter((c) => !measured[c.key])
    if (strange.length + missing.length) throw new Error(`families of ${page.key}: ${[...strange, ...missing].map((f) => f.key).join(', ')}`)
    page.families = chosen.map((c) => measured[c.key])
  }
}
