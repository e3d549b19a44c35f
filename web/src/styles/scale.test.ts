import { describe, expect, it } from 'vitest'

/** All style that is written here, by file: that of views and parts, of the kit, and the sheets. */
const sheets = Object.entries(
  import.meta.glob<string>(['../**/*.vue', '../**/*.css'], { query: '?raw', import: 'default', eager: true }),
).map(([path, text]) => {
  const file = path.startsWith('./') ? `styles/${path.slice(2)}` : path.slice(3)
  const css = file.endsWith('.css')
    ? text
    : [...text.matchAll(/<style[^>]*>(.*?)<\/style>/gs)].map((m) => m[1]).join('\n')
  return { file, css: css.replace(/\/\*.*?\*\//gs, '') }
})
const templates = Object.values(
  import.meta.glob<string>('../**/*.vue', { query: '?raw', import: 'default', eager: true }),
).map((text) => text.slice(text.indexOf('<template>'), text.lastIndexOf('</template>')))
const spaces = /(?<![\w-])(?:gap|lines|pad|sides|m[tblr]|pl)-\d+(?![\w-])/g
const tokens = 'styles/tokens.css'
const declarations = (css: string) =>
  [...css.matchAll(/([\w-]+)\s*:\s*([^;{}]+);/g)].map(([, name, value]) => ({ name: name!, value: value! }))

describe('the scale', () => {
  it.each(sheets.filter((s) => s.file !== tokens))('holds in $file', ({ file, css }) => {
    const own = declarations(css)
    expect(own.filter((d) => /\dpx/.test(d.value))).toEqual([])
    expect(own.filter((d) => d.name === 'font-size' && !/^var\(--[a-z]+\)$/.test(d.value))).toEqual([])
    for (const [media] of css.matchAll(/@media[^{]*\d+px[^{]*/g))
      expect(
        ['(max-width: 1100px)', '(max-width: 760px)'].some((width) => media.includes(width)),
        media,
      ).toBe(true)
    if (!file.startsWith('ui/')) expect(css).not.toMatch(/:deep|:slotted/)
  })

  it('has six sizes of type', () => {
    const used = sheets.flatMap(({ css }) => declarations(css)).filter((d) => d.name === 'font-size')
    expect(new Set(used.map((d) => d.value)).size).toBe(6)
  })

  /* Half of what it was before there was a kit, and what came since by itself. */
  it('leaves little to the views', () => {
    const count = (of: typeof sheets) => of.flatMap(({ css }) => declarations(css)).length
    const all = sheets.filter((s) => s.file !== tokens && s.file !== 'styles/apiPage.css')
    const since = (s: { file: string }) => s.file.startsWith('stops/walk/')
    expect(count(all.filter((s) => !since(s)))).toBeLessThanOrEqual(1109)
    expect(count(all.filter(since))).toBeLessThanOrEqual(80)
  })

  it('has a rule for each space that a view asks for by name', () => {
    const layout = sheets.find((s) => s.file === 'styles/layout.css')!.css
    const asked = new Set(
      templates.flatMap((t) => [...t.matchAll(/class="([^"]*)"/g)].flatMap((m) => m[1]!.match(spaces) ?? [])),
    )
    expect([...asked].filter((name) => !layout.includes(`.${name} {`))).toEqual([])
  })

  it('knows every space, width and line that is asked for', () => {
    const known = new Set(
      declarations(sheets.find((s) => s.file === tokens)!.css).flatMap((d) =>
        d.name.startsWith('--') ? [d.name] : [],
      ),
    )
    const asked = sheets.flatMap(({ file, css }) =>
      [...css.matchAll(/var\((--(?:s|w)\d+)\)/g)].map((m) => ({ file, name: m[1]! })),
    )
    expect(asked.filter((a) => !known.has(a.name))).toEqual([])
  })
})
