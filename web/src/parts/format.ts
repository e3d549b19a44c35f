const whole = new Intl.NumberFormat('en-US')

/** 1455 as 1,455. */
export function count(n: number): string {
  return whole.format(Math.round(n))
}

/** A gain, whatever it is in: a decimal under ten. */
export function gain(figure: number): string {
  return figure < 9.95 ? figure.toFixed(1) : count(figure)
}

/** What a gain is in. */
export type Unit = 'visits' | 'share'
export const unitNotes: Record<Unit, string> = {
  visits: 'Gains are visits a month at the aimed positions; they are estimates.',
  share: 'Gains are shares of what the page can win by its phrases; they are estimates.',
}

/** 291 minutes as "4 h 51". */
export function duration(minutes: number): string {
  const m = Math.round(minutes)
  if (m < 60) return `${m} min`
  const rest = m % 60
  return rest ? `${Math.floor(m / 60)} h ${String(rest).padStart(2, '0')}` : `${m / 60} h`
}

/** Today as a time of day, other days as a date. */
export function moment(at: string | null | undefined): string {
  if (!at) return ''
  const date = new Date(at)
  const time = date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
  if (date.toDateString() === new Date().toDateString()) return `today ${time}`
  return date.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
}

/** An address without what everybody knows: scheme, www and a lone slash. */
export function bare(url: string): string {
  return url.replace(/^https?:\/\/(www\.)?/, '').replace(/\/$/, '')
}
