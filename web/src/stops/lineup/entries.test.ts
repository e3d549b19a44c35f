import type { Recorded } from '@/api/types'
import { describe, expect, it } from 'vitest'
import { history, kindOfKey, kindKeys, stand, standLine } from './entries'

const at = (recorded_at: string, organic: number, phrase = 'sweep', place = 'Ostrey') =>
  ({ id: 1, recorded_at, organic, map: 0, looked_at: 20, map_looked_at: 3, phrase, place }) as Recorded

describe('where the client stands', () => {
  it('is told as far as the list was looked at', () => {
    expect(stand(11, 20)).toBe('client at 11 of 20')
    expect(stand(3, 3)).toBe('client at 3')
    expect(stand(undefined, 20)).toBe('client not in the first 20')
    expect(stand(undefined, 0)).toBe('client not found')
  })

  it('over time is of one phrase and place, the oldest first', () => {
    const list = [
      at('2026-11-03', 11),
      at('2026-10-01', 14),
      at('2026-11-01', 2, 'other'),
      at('2026-11-01', 3, 'Sweep', 'Quillby'),
    ]
    expect(history(list, { phrase: 'Sweep', place: 'ostrey' }).map((r) => r.organic)).toEqual([14, 11])
  })

  it('is a line that rises with better places, along the foot where it was not found', () => {
    expect(standLine([at('1', 20), at('2', 1), at('3', 0)], 104, 24)).toBe('M2.0 22.0L52.0 2.0L102.0 23.0')
  })
})

describe('the keys of kinds', () => {
  it('are one for each', () => {
    expect(new Set(kindKeys.map((k) => k.key)).size).toBe(kindKeys.length)
    expect(kindOfKey('D')).toBe('directory')
    expect(kindOfKey('x')).toBeUndefined()
  })
})
