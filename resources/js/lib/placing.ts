import type { TapeEntry } from '@/api/client'

/** Below this, in milliseconds, nobody asks why two clocks differ. */
const APART_MS = 60_000

/** The device's clock was off by enough to be told. */
export function isClockOff(entry: TapeEntry): boolean {
  return Math.abs(entry.correctionMs) > APART_MS
}

/** Its times differ enough to be told: the device's clock was off, or it came later. */
export function isApart(entry: TapeEntry): boolean {
  const late = new Date(entry.recordedAt).getTime() - new Date(entry.placedAt).getTime()
  return isClockOff(entry) || late > APART_MS
}
