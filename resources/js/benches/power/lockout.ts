import { markRaw } from 'vue'
import LockSketch from '@/drawings/LockSketch.vue'
import { type BenchSpec, grid, table, words } from '../spec'

/** Dead, proved: lock, tag, tester before and after, six readings, where the lock hangs and where the work is. */
export const lockout: BenchSpec = {
  id: 'lockout',
  parts: [{ check: 'power.lockout', subject: 'machine' }],
  sketch: markRaw(LockSketch),
  rows: [
    grid(['lock_id', 'tag_name'], 2),
    words('lock_at'),
    words('work_at'),
    words('tester_proved_before'),
    grid(['volts_ab', 'volts_bc', 'volts_ca']),
    grid(['volts_ag', 'volts_bg', 'volts_cg']),
    words('tester_proved_after'),
    table('sources', ['lock_id', 'dead'], { grows: true }),
  ],
}

/** The same where the unit stays and its old compressor goes. */
export const unitLockout: BenchSpec = { ...lockout, id: 'unitLockout' }

/** The same at the old disconnect. */
export const oldLockout: BenchSpec = {
  ...lockout,
  id: 'oldLockout',
  parts: [{ check: 'power.lockout', subject: 'old_disconnect' }],
}
