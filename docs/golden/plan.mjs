// Works out the plan of a client from figures read off its sheets, by the rules of
// docs/rules.md 8 to 12 alone. It shares no code with the program: the plans that it
// writes are what the program's own are held against.
//
//   node docs/golden/plan.mjs          # fails where a kept plan is another than the script's
//   node docs/golden/plan.mjs write    # writes the plans anew, from the figures that are kept

import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { nameImages } from './names.mjs'
import { fits, order } from './order.mjs'
import { choosePages } from './pages.mjs'
import { given, sections } from './sections.mjs'
import { content } from './words.mjs'

const Y = {
  guideline: { home: [1500, 2000, 2500], service: [500, 750, 1200], area: [500, 750, 1200] },
  weight: { words: 34, title: 14, h1: 10, subheads: 10, body: 10, image_names: 8, opening: 5, address: 4, alt: 3, description: 2 },
  minutes: { words100: 20, title: 10, description: 10, address: 10, h1: 5, subheads: 3, body: 3, opening: 3, image_names: 4, alt: 1 },
  carrying: { home: 3, service: 2, area: 2 },
}
const kinds = ['home', 'service', 'area']
const sum = (list) => list.reduce((a, b) => a + b, 0)
const median = (list) => {
  const s = [...list].sort((a, b) => a - b)
  const m = s.length >> 1
  return s.length % 2 ? s[m] : (s[m - 1] + s[m]) / 2
}

/** Rule 8: how many words a page should have, and how many are to be written. */
function wordTarget(page) {
  const guideline = Y.guideline[page.kind]
  const seen = page.there ? page.seen : page.frame
  if (!guideline) return { target: 0, write: 0, low: 0 }
  const [low, , ceiling] = guideline
  const rivals = page.rivals.map((r) => r.seen)
  const limit = rivals.length >= 3 ? 2.5 * median(rivals) : Infinity
  const kept = rivals.filter((w) => !(w > ceiling && w > limit))
  const mark = kept.length ? Math.max(...kept) : 0
  const beat = mark ? mark + Math.max(100, (mark * 15) / 100) : 0
  const target = Math.min(Math.ceil(Math.max(low, beat) / 50 - 1e-9) * 50, ceiling)
  const missing = target - seen
  const writer = Math.max(target - page.frame, 0.7 * low)
  if (!page.there) return { target, write: writer, low, writer }
  const hold = (seen >= low && seen > mark) || missing < 60
  return { target, write: hold ? 0 : missing, low, writer }
}

const gainOf = (list, factor) => ({
  gain: sum(list.map((f) => f.gain * factor)),
  rank: sum(list.map((f) => f.rank * factor)),
})
const part = (key, minutes, family, factor) => ({ key, minutes, ...gainOf(family ? [family] : [], factor ?? 0) })
const share = (family, slot) => (family.exact[slot] ? 0 : family.loose[slot] ? 0.5 : 1)
const w = (slot) => Y.weight[slot] / 100

/** Rule 9.4: how often the first family should stand in the copy, and how often by today's words. */
function bodyCounts(page, words, first) {
  const rates = page.rivals.map((r, i) => [first.rivals[i], r.copy]).filter(([n]) => n > 0).map(([n, copy]) => (n * 1000) / copy)
  let rate = rates.length ? Math.min(12, Math.max(3, median(rates))) : 5
  rate = Math.min(rate, 36 / first.tokens)
  const all = Math.max(2, Math.round((words.writer * rate) / 1000))
  const today = page.there && words.write ? Math.min(all, Math.max(1, Math.round((page.copy * rate) / 1000))) : all
  return { all, today }
}

const superlatives = ['best', 'top', 'finest', 'greatest', 'cheapest']

/** Rule 9.2: title, h1 and URL say a phrase without its superlatives; whether one says it like that already. */
function saidModestly(page, family, slot) {
  const modest = family.text.split(' ').filter((w) => !superlatives.includes(w)).join(' ')
  const held = { title: page.title, h1: page.h1, address: page.url }[slot] ?? ''
  return modest !== family.text && ` ${content(held)} `.includes(` ${content(modest)} `)
}

/** Rule 9.2: title and h1 hold a family also where small words stand between; what leads today stays in them. */
function inHead(page, family, slot) {
  if (!page[slot]) return { held: false, leads: false }
  const says = ` ${content(page[slot])} `
  return {
    held: [family, ...family.members].some((m) => says.includes(` ${content(m.text)} `)),
    leads: family.position > 0 && family.position <= 3 && (family.exact[slot] || family.loose[slot]),
  }
}

/** Rules 9.2 and 9.4: the parts of the page's first family in page, head and text. */
function firstParts(page, words, first) {
  const parts = []
  const slots = ['title', 'description', ...(['service', 'area'].includes(page.kind) ? ['address'] : []), 'h1', 'opening']
  let planned = 0
  for (const slot of slots) {
    let missing = share(first, slot)
    if (slot === 'title' && first.exact.title && first.title_at >= 60) missing = 0.5
    if (slot === 'h1' && !missing && first.lead_missing_in_head) missing = 0.5
    if (['title', 'h1'].includes(slot)) {
      const { held, leads } = inHead(page, first, slot)
      if (leads) continue
      if (missing === 0.5 && held && !first.exact[slot]) continue
    }
    if (!missing || saidModestly(page, first, slot)) continue
    if (slot === 'h1' || slot === 'opening') planned += missing === 1 && !first.exact[slot] ? 1 : 0
    const redirect = slot === 'address' && page.there ? 5 : 0
    parts.push(part(`${slot}: ${first.key}`, Y.minutes[slot] + redirect, first, w(slot) * missing))
  }
  const members = first.members.map((m, i) => ({ ...m, slot: ['subheads', 'body', 'image_names', 'alt'][i] })).filter((m) => !m.there)
  const inBody = members.filter((m) => m.slot === 'body' || (m.slot === 'image_names' && !page.images.member) || (m.slot === 'alt' && first.exact.alt))
  const subhead = members.find((m) => m.slot === 'subheads')
  const missing = share(first, 'subheads')
  if (missing) parts.push(part(`subheads: ${first.key}`, 3, first, w('subheads') * missing))
  else if (subhead) parts.push(part(`subheads: ${subhead.text}`, 3, first, w('subheads') * subhead.share))
  if (missing === 1 || (!missing && subhead)) planned++
  for (const m of inBody) {
    planned++
    parts.push(part(`body: ${m.text}`, 3, first, w('body') * m.share))
  }
  const counts = bodyCounts(page, words, first)
  const times = Math.max(first.lead_in_body ? 0 : 1, counts.today - first.in_copy - planned)
  if (times > 0) {
    const left = 1 - sum(inBody.map((m) => m.share))
    const has = Math.min(first.in_copy, counts.today)
    const missing = first.in_copy === 0 ? 1 : first.lead_in_body ? (counts.today - has) / counts.today : Math.max(0.5, (counts.today - has) / counts.today)
    parts.push(part(`body: ${first.key}`, 3 * times, first, w('body') * left * missing))
  }
  return parts
}

/** Rule 9.3: the parts of another family: once, in the free heading of a section of its service, else in the text. */
function otherParts(family, mayHead) {
  const parts = []
  const stands = family.exact.subheads + family.exact.body > 0
  const loose = family.loose.subheads + family.loose.body > 0
  const missing = stands ? 0 : loose ? 0.5 : 1
  const members = family.members.map((m, i) => ({ ...m, slot: i === 0 ? 'subheads' : 'body' })).filter((m) => !m.there)
  const subhead = members.find((m) => m.slot === 'subheads')
  const head = (missing > 0 || subhead !== undefined) && mayHead()
  const inBody = head ? members.filter((m) => m !== subhead) : members
  if (head && missing) parts.push(part(`subheads: ${family.key}`, 3, family, w('subheads') * missing))
  else if (head) parts.push(part(`subheads: ${subhead.text}`, 3, family, w('subheads') * subhead.share))
  else if (missing) parts.push(part(`body: ${family.key}`, 3, family, w('body') * missing * (1 - sum(inBody.map((m) => m.share)))))
  for (const m of inBody) parts.push(part(`body: ${m.text}`, 3, family, w('body') * m.share))
  return parts
}

/** Rules 4.3 and 10.2: the names and alt texts of a page. */
function imageParts(page) {
  const parts = []
  for (const n of page.images.names) {
    const family = page.families.find((f) => f.key === n.family)
    parts.push(part(`image_names: ${n.key}`, 4, family, family ? w('image_names') * share(family, 'image_names') : 0))
  }
  for (const a of page.images.alts) {
    const family = page.families.find((f) => f.key === a.family)
    parts.push(part(`alt: ${a.key}`, 1, family, family ? w('alt') * share(family, 'alt') : 0))
  }
  return parts
}

const hiding = ['noindex', 'placeholder_text', 'http_beside_https', 'http_only'].map((t) => `fix: ${t}`)

/** Rule 11: the pages that a page is to link to: its service pages for the home page, orphans for that of their service. */
function linksFrom(page, client) {
  const from = (p, type) => {
    const own = client.pages.find((o) => o !== p && type === 'orphan' && o.kind === 'service' && o.there && p.service && o.service === p.service)
    return own ?? client.pages.find((o) => o.kind === 'home')
  }
  return client.pages.filter((p) => p.kind !== 'other' && p.findings.some(({ type }) => ['orphan', 'no_home_link'].includes(type) && from(p, type) === page))
}

/** Rule 11: what half of the rivals' pages have and the page has not. */
function lacks(page) {
  if (!page.there || !kinds.includes(page.kind) || page.findings.some((f) => ['second_copy', 'same_service'].includes(f.type))) return []
  return [['testimonials', 'no_testimonial', 10], ['calls', 'no_call_to_act', 5]].filter(([what]) => {
    const have = page.rivals_say.filter((r) => r[what]).length
    return have && have * 2 >= page.rivals_say.length && !page.says[what]
  })
}

/** Rules 5.2, 5.3 and 11: what the findings on a page ask for. */
function repairs(page, client) {
  const out = {}
  const put = (kind, key, minutes, more = {}) => {
    out[key] ??= { kind, key, minutes: 0, fix: kind === 'fix', hides: hiding.includes(key), ...more }
    out[key].minutes += minutes
  }
  const minutesOf = { noindex: 5, placeholder_text: 5, http_beside_https: 5, phone_not_linked: 5, http_only: 60, no_business_data: 20 }
  for (const { type, words } of page.findings) {
    if (minutesOf[type]) put('fix', `fix: ${type}`, minutesOf[type])
    if (type === 'same_service') put('merge', 'merge', 30, { stays: words[0] })
    if (type === 'dead_link') put('fix', 'fix: dead_link', 3)
    if (type === 'place_contradiction') put('fix', 'fix: place_contradiction', 3)
    if (type === 'vague_area_words' && client.towns) put('vague_words', 'vague_words', 5)
    if (type === 'second_copy') put('redirect', 'redirect', 15, { stays: words[0] })
    if (type === 'all_services_page') {
      const makes = client.pages.filter((p) => p.kind === 'service' && words.includes(p.service) && !p.there).map((p) => p.key)
      if (makes.length) put('split', 'split', 15, { makes })
    }
    if (type === 'only_places_differ') put('rewrite', 'rewrite', page.copy / 5)
  }
  for (const _ of linksFrom(page, client)) put('fix', 'fix: no_home_link', 5)
  for (const [, type, minutes] of lacks(page)) put('fix', `fix: ${type}`, minutes)
  if (page.kind === 'home') for (const _ of new Set(client.directories)) put('fix', 'fix: directory_ahead', 20)
  return Object.values(out)
}

/** Rule 9.3: one family or member for each 75 words of the target. */
const roomOf = (words) => Math.max(1, Math.floor(words.target / 75))

/** Rule 9.3: the members that there is room for beside the families. */
function limitMembers(page) {
  const room = roomOf(wordTarget(page))
  let left = Math.max(0, room - Math.min(page.families.length, room))
  for (const [i, f] of page.families.entries()) {
    f.members = i < room ? f.members.slice(0, left) : []
    left -= f.members.length
  }
}

function targetsOf(page, client) {
  const out = []
  const add = (kind, key, parts, more = {}) => {
    if (parts.length || more.fixed) {
      out.push({
        page: page.key, kind, key, fix: false, needs: [], ...more,
        short: kind === 'placing' ? sum(parts.filter((p) => /^(title|h1):/.test(p.key)).map((p) => p.minutes)) : 0,
        gain: sum(parts.map((p) => p.gain)), rank: sum(parts.map((p) => p.rank)),
        minutes: (more.fixed ?? 0) + sum(parts.map((p) => p.minutes)),
      })
    }
  }
  const words = wordTarget(page)
  const [first] = page.families
  const room = roomOf(words)
  const list = sections(page, words)
  const sectionOf = given(page, list, room)
  const slices = []
  for (const s of list) {
    let n = Math.ceil(s.words / 250)
    if (s.kind === 'questions') n = Math.min(n, page.questions)
    for (let i = 0; i < n; i++) {
      slices.push({ section: s, n: i + 1, words: Math.floor(s.words / n) + (i < s.words % n ? 1 : 0), lead: s.kind === 'lead', parts: [] })
    }
  }
  // Other families stand in the slices of their sections, one after another; a subhead needs 120 words of the target.
  const head = first ? firstParts(page, words, first) : []
  let subheads = head.filter((p) => p.key.startsWith('subheads:')).length
  const headed = new Set()
  const others = page.families.slice(1, room)
  const turn = {}
  for (const f of others) {
    const at = slices.filter((s) => s.section.key === sectionOf[f.key])
    if (at.length) {
      const i = (turn[sectionOf[f.key]] = (turn[sectionOf[f.key]] ?? -1) + 1) % at.length
      const s = at[i].section
      const mayHead = () => {
        if (s.kind !== 'service' || s.subject !== f.service || headed.has(s.key) || subheads >= Math.max(1, Math.floor(words.target / 120))) return false
        headed.add(s.key)
        subheads++
        return true
      }
      at[i].parts.push(...otherParts(f, mayHead))
    } else add('placing', `placing: ${f.key}`, page.there ? otherParts(f, () => false) : [], { needs: ['first'] })
  }
  for (const s of slices) {
    s.parts.push({ key: 'words', minutes: (s.words * Y.minutes.words100) / 100, ...gainOf(page.families, (w('words') * s.words) / words.target) })
  }
  if (!page.there) {
    add('new_page', 'new_page', [...head.map((p) => ({ ...p, minutes: 0 })), ...slices.filter((s) => s.lead).flatMap((s) => s.parts)], { fixed: 30, needs: client.site ? [] : ['home'], opens: true })
  } else if (first) {
    const before = out.length
    add('placing', `placing: ${first.key}`, head, { opens: true })
    if (out.length > before) out.unshift(out.pop())
  }
  add('images', 'images', imageParts(page), { needs: ['first'] })
  for (const s of slices) {
    if (!page.there && s.lead) continue
    const key = `slice: ${s.section.key}` + (s.n > 1 ? ` ${s.n}` : '')
    add('slice', key, s.parts, { words: s.words, lead: s.lead, standing: ['about', 'towns'].includes(s.section.kind), needs: ['first', ...(s.lead ? [] : ['lead'])] })
  }
  for (const r of repairs(page, client)) {
    add(r.kind, r.key, [{ gain: 0, rank: 0, minutes: r.minutes }], { fix: r.fix, hides: r.hides, stays: r.stays, needs: r.fix ? [] : ['first'], makes: r.makes ?? [] })
  }
  return out.map((t) => ({ ...t, low: words.low, seen: page.there ? page.seen : 0, kindOfPage: page.kind, address: page.url }))
}

/** What rule 12.2 gives a share of the first family's gain, as far as the page's families have any left. */
function shared(targets, client) {
  const left = {}
  for (const p of client.pages) left[p.key] = [sum(p.families.map((f) => f.gain)), sum(p.families.map((f) => f.rank))]
  for (const t of targets) {
    left[t.page][0] -= t.gain
    left[t.page][1] -= t.rank
  }
  for (const t of targets) {
    const percent = { redirect: 10, merge: 10, split: 10, rewrite: 10, vague_words: 3 }[t.kind]
    if (!percent) continue
    // Of the page that takes its place, else of its own, else of the home page.
    const home = client.pages.find((p) => p.kind === 'home')
    let page = t.stays ? client.pages.find((p) => p.url === t.stays) : client.pages.find((p) => p.key === t.page)
    if (!page?.families.length && t.kind !== 'vague_words') page = home
    const first = page?.families[0]
    if (!first) continue
    const of = page.key
    const upTo = (share, most) => Math.max(0, Math.min(share, most))
    t.gain = upTo((first.gain * percent) / 100, left[of][0])
    t.rank = upTo((first.rank * percent) / 100, left[of][1])
    left[of][0] -= t.gain
    left[of][1] -= t.rank
  }
}

/** The plan of a client from the figures of its sheets, a line a target. */
function planOf(client) {
  choosePages(client)
  for (const p of client.pages) limitMembers(p)
  nameImages(client)
  const known = client.pages.flatMap((p) => p.families).filter((f) => f.known && f.gain > 0)
  const smallest = known.length ? Math.min(...known.map((f) => f.gain)) : 0
  for (const p of client.pages) for (const f of p.families) f.rank = f.known ? f.gain : smallest
  client.site = client.pages.some((p) => p.there)
  const all = client.pages.flatMap((p) => targetsOf(p, client))
  shared(all, client)
  const list = order(all, client)
  const hours = [1, 3, 8, 20]
  const cuts = hours.map((h) => fits(list, h, client))
  const round = (n) => Math.round(n * 1000) / 1000
  const lines = list.map((t, i) =>
    JSON.stringify({ page: t.page, key: t.key, gain: round(t.gain), minutes: round(t.minutes), fits: hours.filter((_, h) => cuts[h][i]) }),
  )
  return `[\n  ${lines.join(',\n  ')}\n]\n`
}

let wrong = 0
const folder = new URL('.', import.meta.url)
for (const name of readdirSync(folder).filter((f) => f.endsWith('.figures.json'))) {
  const plan = planOf(JSON.parse(readFileSync(new URL(name, folder), 'utf8')))
  const file = new URL(name.replace('.figures.', '.plan.'), folder)
  if (process.argv[2] === 'write') writeFileSync(file, plan)
  else if (readFileSync(file, 'utf8') !== plan) {
    wrong++
    console.error(`${name}: the kept plan is not the one that the script works out`)
  }
}
process.exitCode = wrong ? 1 : 0
