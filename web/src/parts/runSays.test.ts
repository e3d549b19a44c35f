import type { Run } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { runSays } from './runSays'

type Item = Run['items'][number]
const item = (kind: Item['kind'], state: Item['state'], visited = 0) =>
  ({ kind, state, visited, known: 0, name: `${kind} ${state}`, url: '' }) as unknown as Item
const run = (state: Run['state'], ...items: Item[]) =>
  ({ state, items, done: 0, failed: items.filter((i) => i.state === 'failed').length }) as unknown as Run

describe('a run', () => {
  it('counts pages first, then sites', () => {
    expect(
      runSays(run('running', item('page', 'done'), item('page', 'reading'), item('site', 'waiting'))),
    ).toEqual({
      says: '1 of 2 pages read',
      now: 'page reading',
    })
    expect(
      runSays(run('running', item('page', 'done'), item('site', 'done', 7), item('site', 'reading', 5))).says,
    ).toBe('1 of 2 sites surveyed, 12 pages read')
  })

  it('says what was lost', () => {
    expect(
      runSays(run('done', item('page', 'failed'), item('page', 'done'), item('site', 'failed'))).says,
    ).toBe('1 of 2 pages not read, 1 of 1 site not surveyed')
  })

  it('says where it was stopped, and that it is over', () => {
    expect(runSays(run('stopped', item('site', 'done'), item('site', 'waiting'))).says).toBe(
      'Stopped after 1 of 2 sites',
    )
    expect(runSays(run('done', item('page', 'done'), item('site', 'done'))).says).toBe(
      '1 page read, 1 site surveyed',
    )
  })
})
