import type { Run } from '@/api/types'
import { count, plural } from './format'

const states: Record<string, string> = { stopped: 'Stopped', interrupted: 'Interrupted' }

/** How far a run is, in a few words; and what is being read now. */
export function runSays(run: Run): { says: string; now: string } {
  const pages = run.items.filter((i) => i.kind === 'page')
  const sites = run.items.filter((i) => i.kind === 'site')
  const over = (items: Run['items']) => items.filter((i) => i.state === 'done' || i.state === 'failed')
  const failed = (items: Run['items']) => items.filter((i) => i.state === 'failed').length
  const now = run.items.flatMap((i) => (i.state === 'reading' ? [i.name] : [])).join(', ')

  if (run.state === 'running') {
    if (over(pages).length < pages.length || !sites.length)
      return { says: `${over(pages).length} of ${plural(pages.length, 'page')} read`, now }
    const visited = sites.reduce((n, s) => n + s.visited, 0)
    const done = `${over(sites).length} of ${plural(sites.length, 'site')} surveyed`
    return { says: visited ? `${done}, ${count(visited)} pages read` : done, now }
  }
  if (run.state !== 'done') {
    const of = pages.length ? [over(pages), pages, 'page'] : [over(sites), sites, 'site']
    const [had, all, what] = of as [Run['items'], Run['items'], string]
    return {
      says: `${states[run.state]} after ${had.length} of ${plural(all.length, what)}`,
      now: run.failure?.says ?? now,
    }
  }
  if (run.failed) {
    const lost = [
      failed(pages) && `${failed(pages)} of ${plural(pages.length, 'page')} not read`,
      failed(sites) && `${failed(sites)} of ${plural(sites.length, 'site')} not surveyed`,
    ]
    return { says: lost.filter(Boolean).join(', '), now }
  }
  const done = [
    pages.length && `${plural(pages.length, 'page')} read`,
    sites.length && `${plural(sites.length, 'site')} surveyed`,
  ]
  return { says: done.filter(Boolean).join(', '), now }
}
