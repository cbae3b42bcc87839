import { describe, expect, it } from 'vitest'
import { counted, freshPumpDown, IN_VACUUM_MS, stageOf } from './pumpDown'

describe('a pump-down', () => {
  it('counts up from the compressor, and down to the stop in vacuum', () => {
    expect(stageOf(freshPumpDown(), 5000)).toEqual({ stage: 'off', ms: 0 })
    expect(stageOf({ onAt: 1000, vacuumAt: null }, 5000)).toEqual({ stage: 'running', ms: 4000 })
    const vacuum = { onAt: 1000, vacuumAt: 9000 }
    expect(stageOf(vacuum, 9000)).toEqual({ stage: 'vacuum', ms: IN_VACUUM_MS })
    expect(stageOf(vacuum, 9000 + IN_VACUUM_MS - 1)).toEqual({ stage: 'vacuum', ms: 1 })
    expect(stageOf(vacuum, 9000 + IN_VACUUM_MS)).toEqual({ stage: 'stop', ms: 0 })
  })

  it('is never less than nothing on a clock that was set back', () => {
    expect(stageOf({ onAt: 9000, vacuumAt: null }, 5000).ms).toBe(0)
  })

  it('tells minutes and seconds', () => {
    expect([counted(0), counted(59_999), counted(60_000), counted(125_000)]).toEqual([
      '0:00',
      '0:59',
      '1:00',
      '2:05',
    ])
  })
})
