// What the images of a client's pages are called, by docs/rules.md 4.3, 9.2 and 10.2 alone: a part of plan.mjs,
// which shares no code with the program. Verdicts and the words of names are given, as they are read off the sheets.

import { stemsOf } from './pages.mjs'
import { small, tokens } from './words.mjs'

const needed = { home: 3, service: 2, area: 2 }

/** Words with hyphens, at most 60 characters. */
function slug(s) {
  let out = ''
  for (const t of tokens(s).filter((t) => /^[\x00-\x7f]+$/.test(t))) {
    const longer = out ? `${out}-${t}` : t
    if (longer.length > 60) break
    out = longer
  }
  return out
}

/** The same for names of the same words, but for small ones. */
const saying = (words, client) =>
  [...new Set(stemsOf(words.filter((w) => !small.includes(w)).join(' '), client))].sort().join(' ')

const without = (words, part) => {
  for (let i = 0; part.length && i + part.length <= words.length; i++) {
    if (part.every((p, k) => words[i + k] === p)) return [...words.slice(0, i), ...words.slice(i + part.length)]
  }
  return words
}

class Names {
  constructor(client) {
    this.client = client
    this.files = new Set()
    this.said = new Set()
    this.settled = new Set()
    const there = client.pages.filter((p) => p.there)
    const on = {}
    for (const p of there) for (const f of new Set(p.pictures.map((i) => i.file + i.ext))) on[f] = (on[f] ?? 0) + 1
    for (const [file, times] of Object.entries(on)) {
      this.files.add(file)
      if (there.length >= 4 && 2 * times >= there.length) this.settled.add(file)
    }
  }
  free(name, ext) {
    return !this.files.has(name + ext) && !this.said.has(saying(name.split('-'), this.client))
  }
  take(name, ext) {
    this.files.add(name + ext)
    this.said.add(saying(name.split('-'), this.client))
  }
}

/** What names may say: the page's families, then its service in its town, on the home page the towns without a page. */
function wishesOf(page, client, first) {
  const out = page.families.map((f) => ({ says: f === first.family ? first.says : f.text, family: f.key }))
  const towns = client.pages.filter((p) => p.kind === 'area').map((p) => p.place)
  const service = page.service || client.services[0]?.name
  if (!client.home || !service) return out
  out.push({ says: `${service} ${page.place || client.home}` })
  if (page.kind === 'home') {
    for (const town of client.places.filter((t) => !towns.includes(t))) out.push({ says: `${client.services[0].name} ${town}` })
  }
  return out
}

/** A name that holds a service, with the page's town in the place of any other. */
function completed(image, page, client) {
  const towns = [client.home, ...client.places].map(tokens).sort((a, b) => b.length - a.length)
  let words = image.words
  for (const town of towns) words = without(words, town)
  words = words.filter((w) => !/^\d+$/.test(w))
  const stems = stemsOf(words.join(' '), client)
  const holds = client.services.some((s) => [s.name, ...s.forms].some((form) => stemsOf(form, client).every((t) => stems.includes(t))))
  const own = page.place || client.home
  return holds && own ? slug([...words, ...tokens(own)].join(' ')) : ''
}

/** A name with up to three words of what its image shows, or of the heading that it stands below. */
function more(wish, image, client) {
  const said = stemsOf(wish.name.split('-').join(' '), client)
  for (const from of [image.alt ?? '', image.heading ?? '']) {
    const add = tokens(from).filter((t) => !small.includes(t) && t.length > 2 && !said.includes(stemsOf(t, client)[0])).slice(0, 3)
    if (add.length) return slug(`${wish.says} ${add.join(' ')}`)
  }
  return ''
}

/** Deals names to the images of a page, and asks for further ones. */
function namePage(page, names, client) {
  const [family] = page.families
  const third = family?.members[2]
  const first = { family, says: family && !family.exact.image_names && third && !third.there ? third.text : family?.text }
  const pictures = page.there ? page.pictures : []
  const seen = new Set()
  const open = pictures.map((i) => {
    const file = i.file + i.ext
    const judged = !seen.has(file) && !names.settled.has(file)
    seen.add(file)
    return { ...i, judged, given: '' }
  })
  const free = (i) => i.judged && !i.given && !i.frame && ['wrong_place', 'near', 'camera', 'machine', 'counter'].includes(i.verdict)
  const give = (i, name) => {
    i.given = name
    names.take(name, i.ext)
  }
  for (const i of open.filter(free)) {
    const name = completed(i, page, client)
    if (name && names.free(name, i.ext)) give(i, name)
  }
  const used = new Set(open.filter((i) => i.judged && i.verdict === 'carries').map((i) => saying(i.words, client)))
  const towns = stemsOf([client.home, ...client.places].join(' '), client)
  const wishes = []
  for (const w of wishesOf(page, client, first)) {
    const name = slug(w.says)
    const key = saying(name.split('-'), client)
    if (!name || used.has(key)) continue
    used.add(key)
    wishes.push({ ...w, name, stems: stemsOf(w.says, client).filter((s) => !towns.includes(s)) })
  }
  // What an image speaks of in its name, its alt text or its heading goes before, then the order of the wishes.
  const pairs = open.flatMap((i, at) => {
    const about = stemsOf(`${i.heading ?? ''} ${i.alt ?? ''} ${i.words.join(' ')}`, client)
    return free(i) ? wishes.map((w, n) => ({ i, at, w, n, score: w.stems.filter((s) => about.includes(s)).length })) : []
  })
  pairs.sort((a, b) => b.score - a.score || a.n - b.n || a.at - b.at)
  for (const { i, w } of pairs) if (free(i) && names.free(w.name, i.ext)) give(i, w.name)
  const carrying = () => open.filter((i) => i.given || (i.judged && i.verdict === 'carries' && !i.frame)).length
  for (const i of open.filter(free)) {
    if (carrying() >= needed[page.kind]) break
    const name = wishes.map((w) => more(w, i, client)).find((n) => n && names.free(n, i.ext))
    if (name) give(i, name)
  }
  return { open, first, carrying: carrying() }
}

/** The names and alt texts of a page: what the rules ask for, by the keys of the plan. */
function partsOf(page, names, client) {
  const { open, first, carrying } = namePage(page, names, client)
  const wishes = wishesOf(page, client, first)
  const saysOf = (name) => wishes.find((w) => slug(w.says) === name)
  const parts = []
  const wrong = []
  for (const i of open.filter((i) => i.given)) {
    const file = i.file + i.ext
    names.settled.add(file)
    const line = { key: `image_names: ${file}`, image: file, alt: i.alt, wish: saysOf(i.given) }
    if (i.verdict === 'wrong_place') wrong.push(line)
    else parts.push(line)
  }
  const said = new Set([...parts, ...wrong].map((p) => slug(p.wish?.says ?? '')))
  for (const i of open) if (i.verdict === 'carries') said.add(i.file.toLowerCase())
  let left = page.families.length ? needed[page.kind] - carrying : 0
  for (const w of wishes) {
    const name = slug(w.says)
    if (left <= 0) break
    if (!name || said.has(name) || !names.free(name, '.jpg')) continue
    said.add(name)
    names.take(name, '.jpg')
    parts.push({ key: `image_names: + ${name}`, image: `+ ${name}`, alt: null, wish: w })
    left--
  }
  const asFirst = { key: `alt: ${first.family?.key}`, family: first.family?.key }
  let need = first.family && !first.family.exact.alt
  const alts = []
  for (const p of [...parts, ...wrong]) {
    if (need && p.wish?.family === first.family.key) {
      alts.push(asFirst)
      need = false
    } else if (p.wish && p.alt === null) alts.push({ key: `alt: ${p.image}`, family: '' })
  }
  if (need && alts.length) alts[0] = asFirst
  else if (need) alts.push(asFirst)
  return {
    names: parts.map((p) => ({ key: p.key, family: p.wish?.family ?? '' })),
    alts,
    member: parts.some((p) => first.family && p.wish?.family === first.family.key && p.wish.says !== first.family.text),
  }
}

/** Names the images of all pages: home, services, towns. A page that is to go gets no names. */
export function nameImages(client) {
  const kinds = ['home', 'service', 'area']
  const names = new Names(client)
  const goes = (p) => p.findings.some((f) => ['second_copy', 'same_service'].includes(f.type))
  const inOrder = client.pages
    .filter((p) => kinds.includes(p.kind))
    .sort((a, b) => kinds.indexOf(a.kind) - kinds.indexOf(b.kind) || (a.url < b.url ? -1 : a.url > b.url ? 1 : 0) || (a.key < b.key ? -1 : 1))
  for (const page of client.pages) page.images = { names: [], alts: [], member: false }
  for (const page of inOrder.filter((p) => !goes(p))) page.images = partsOf(page, names, client)
}
