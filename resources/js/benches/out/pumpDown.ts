/** A pump-down as it runs: when the compressor went on, when the gauge went below 0 psig, both ms since the epoch. */
export type PumpDown = { onAt: number | null; vacuumAt: number | null }

export const freshPumpDown = (): PumpDown => ({ onAt: null, vacuumAt: null })

/** A scroll is no vacuum pump: the longest it may run below 0 psig where the sheet names no time. */
export const IN_VACUUM_MS = 60_000

export type Stage = 'off' | 'running' | 'vacuum' | 'stop'

/** Where the run stands, and what the screen counts: up since the compressor is on, down to the stop in vacuum. */
export function stageOf(run: PumpDown, now: number): { stage: Stage; ms: number } {
  if (run.onAt === null) return { stage: 'off', ms: 0 }
  if (run.vacuumAt === null) return { stage: 'running', ms: Math.max(0, now - run.onAt) }
  const left = run.vacuumAt + IN_VACUUM_MS - now
  return left > 0 ? { stage: 'vacuum', ms: left } : { stage: 'stop', ms: 0 }
}

/** Minutes and seconds since; the last second counts whole. */
export function counted(ms: number): string {
  const s = Math.floor(ms / 1000)
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}
