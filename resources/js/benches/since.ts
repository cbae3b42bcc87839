import type { PutBackView, TapeEntry } from '@/api/client'
import { clock, day } from '@/lib/time'

/** What has changed since something was recorded: one sentence each, in the words of the interface. */
export type Since = { key: 'lockOff' | 'supplyWork' | 'lockedOut' | 'started'; time: string; words: string }

const when = (iso: string) => `${day(iso)} ${clock(iso)}`.trim()
const HANGS_ON_SUPPLY = /^power\.(voltage|supply_identity|rotation)$/

export function since(entry: TapeEntry, tape: TapeEntry[], putBack: PutBackView[]): Since[] {
  const later = tape.filter((one) => one.at > entry.at).reverse()
  const found: Since[] = []
  if (entry.check === 'power.lockout') {
    const lock = putBack.find(
      (p) => p.kind === 'lock' && p.since === entry.deviceAt && p.what.includes(String(entry.input.lock_id)),
    )
    const isOn = lock?.closed === false
    const off = later.find(
      (one) => one.kind === 'put_back_closed' && lock !== undefined && one.headline.startsWith(lock.what),
    )
    if (!isOn) found.push({ key: 'lockOff', time: off === undefined ? '' : when(off.deviceAt), words: '' })
  }
  const work = HANGS_ON_SUPPLY.test(entry.check) ? later.find((one) => one.kind === 'supply_work') : undefined
  if (work !== undefined) found.push({ key: 'supplyWork', time: when(work.deviceAt), words: work.headline })
  const locked =
    entry.check === 'list.prestart' ? later.find((one) => one.check === 'power.lockout') : undefined
  if (locked !== undefined) found.push({ key: 'lockedOut', time: when(locked.deviceAt), words: '' })
  const start = entry.check === 'list.prestart' ? later.find((one) => one.kind === 'start') : undefined
  if (start !== undefined) found.push({ key: 'started', time: when(start.deviceAt), words: '' })
  return found
}
