/** What each question's bench is made of. A check that is recorded about a part names it when it is recorded. */
export type Tab = { id: string; checks: string[]; subject: string }

export const NOTE: Tab = { id: 'note', checks: [], subject: 'machine' }

export const JOB: Tab = { id: 'job', checks: [], subject: 'machine' }

export const TABS: Record<number, Tab[]> = {
  3: [{ id: 'set', checks: ['list.set'], subject: 'machine' }, NOTE],
  4: [{ id: 'pipe', checks: ['list.pipe'], subject: 'machine' }, NOTE],
  12: [
    { id: 'leave', checks: [], subject: 'machine' },
    { id: 'owner', checks: ['list.owner'], subject: 'machine' },
    NOTE,
  ],
  7: [
    { id: 'supply', checks: ['power.voltage', 'power.supply_identity'], subject: 'machine' },
    { id: 'rotation', checks: ['power.rotation'], subject: 'machine' },
    { id: 'circuit', checks: ['power.circuit'], subject: 'machine' },
    { id: 'control', checks: ['power.control_voltage'], subject: 'machine' },
    { id: 'lockout', checks: ['power.lockout'], subject: 'machine' },
    { id: 'windings', checks: ['compressor.windings'], subject: 'compressor' },
    { id: 'insulation', checks: ['compressor.insulation'], subject: 'compressor' },
    NOTE,
  ],
  8: [
    { id: 'prestart', checks: ['list.prestart'], subject: 'machine' },
    { id: 'start', checks: [], subject: 'machine' },
    { id: 'loaded', checks: ['power.voltage'], subject: 'loaded' },
    { id: 'wheel', checks: ['power.rotation'], subject: 'machine' },
    { id: 'amps', checks: ['power.running_amps'], subject: 'machine' },
    NOTE,
  ],
}

/** Where a recorded check is corrected. */
export function tabOf(check: string, subject: string): { gate: number; tab: string } | null {
  for (const [gate, tabs] of Object.entries(TABS)) {
    const tab = tabs.find(
      (one) =>
        one.checks.includes(check) && (one.subject === subject || subject.startsWith(`${one.subject}:`)),
    )
    if (tab !== undefined) return { gate: Number(gate), tab: tab.id }
  }
  return null
}
