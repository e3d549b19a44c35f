const whole = new Intl.NumberFormat('en-US')

/** 1455 as 1,455. */
export function count(n: number): string {
  return whole.format(Math.round(n))
}

/** "1 rival", "1,500 rivals"; the plural is in s if no other is given. */
export function plural(n: number, one: string, many = `${one}s`): string {
  return `${count(n)} ${n === 1 ? one : many}`
}

/** A gain, whatever it is in: a decimal under ten. */
export function gain(figure: number): string {
  return figure < 9.95 ? figure.toFixed(1) : count(figure)
}

/** Visits a month, none as 0. */
export const visits = (n: number) => (n < 0.05 ? '0' : gain(n))

/** Money as a range from half to full: $400–800. */
export function moneyRange(sign: string, worth: { least: number; most: number }): string {
  const most = count(worth.most)
  return worth.most < 2 ? sign + most : `${sign}${count(worth.least)}–${most}`
}

/** A figure, a dash if it is not known. */
export function figure(n: number | null | undefined): string {
  return n === null || n === undefined ? '–' : count(n)
}

/** 197 minutes as "3 h 17 min". */
export function duration(minutes: number): string {
  const all = Math.round(minutes)
  const hours = Math.floor(all / 60)
  const rest = all % 60
  return [hours && `${hours} h`, (rest || !hours) && `${rest} min`].filter(Boolean).join(' ')
}

/** Today as a time of day, other days as a date. */
export function moment(at: string | null | undefined, now = new Date()): string {
  if (!at) return ''
  const date = new Date(at)
  if (date.toDateString() !== now.toDateString())
    return date.toLocaleDateString('en-US', { day: 'numeric', month: 'short', year: 'numeric' })
  const time = date.toLocaleTimeString('en-US', { hour: 'numeric', minute: '2-digit' })
  return `today ${time.replace(/\s/g, '\u00a0')}`
}

/** A day in full: November 26, 2026. */
export function day(at: string): string {
  return new Date(at).toLocaleDateString('en-US', { day: 'numeric', month: 'long', year: 'numeric' })
}

/** An address without what everybody knows: scheme, www and a lone slash. */
export function bare(url: string): string {
  return url.replace(/^https?:\/\/(www\.)?/, '').replace(/\/$/, '')
}

/** The path of an address, the site's name for its first page. */
export function pathOf(url: string): string {
  const [, host = '', path = ''] = /^https?:\/\/(?:www\.)?([^/]*)(.*)$/.exec(url) ?? []
  return path.length > 1 ? path : host
}

/** The lines of a text that hold something, without blanks around them. */
export function lines(text: string): string[] {
  return parts(text, '\n')
}

/** The parts of a text between separators, without blanks around them and without empty ones. */
export function parts(text: string, by: string): string[] {
  return text
    .split(by)
    .map((part) => part.trim())
    .filter(Boolean)
}

/** Words to narrow a list by, in lower case. */
export function words(typed: string): string[] {
  return parts(typed.toLowerCase(), ' ')
}
