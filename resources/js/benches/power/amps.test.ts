import { describe, expect, it } from 'vitest'
import type { TapeEntry } from '@/api/client'
import { freshDraft } from '../entered'
import { lastAmps } from './amps'

const entry = (input: unknown, more: Record<string, unknown> = {}) =>
  ({
    check: 'power.running_amps',
    suspect: '',
    deviceAt: '2026-03-02T17:40:00',
    input,
    ...more,
  }) as unknown as TapeEntry
const said = (name: string, ...tape: TapeEntry[]) =>
  lastAmps({ name }, { draft: freshDraft(), items: {}, tape })
const c1 = { name: 'C1', amps_a: '31.2 A', amps_b: { value: 30.9, unit: 'A' }, amps_c: '0 A' }

describe('what a motor drew when it was read last', () => {
  it('is told leg by leg with when it was', () => {
    expect(said('C1', entry({ loads: [c1] }))).toMatch(/17:40: 31\.2 · 30\.9 · 0 A$/)
    expect(said('Fan', entry({ loads: [c1, { name: 'Fan', amps_a: '3.1 A' }] }))).toMatch(/17:40: 3\.1 A$/)
  })

  it('is of the newest reading that has it, and of none that is doubted', () => {
    const newer = entry({ loads: [{ name: 'C1', amps_a: '22 A' }] }, { deviceAt: '2026-03-03T08:00:00' })
    expect(said('C1', newer, entry({ loads: [c1] }))).toMatch(/08:00: 22 A$/)
    expect(said('C1', { ...newer, suspect: 'wrong unit' } as TapeEntry, entry({ loads: [c1] }))).toContain(
      '31.2',
    )
    expect(said('C1', entry({ loads: [{ name: 'C1' }] }), entry({ loads: [c1] }))).toContain('31.2')
  })

  it('is nothing where nobody read it', () => {
    expect(said('C2', entry({ loads: [c1] }))).toBe('')
    expect(said('C1', entry({}))).toBe('')
    expect(said('C1', entry({ loads: [c1] }, { check: 'power.rotation' }))).toBe('')
  })
})
