import { type BenchSpec, figure, grid, type Item, optional, table, words, wordsAs } from '../spec'

/** Which wires this unit needs, and which are landed at each end. */
export const terminals: BenchSpec = {
  id: 'terminals',
  undrawn: true,
  parts: [{ check: 'controls.terminals', subject: 'machine' }],
  rows: [
    grid(['machine.compressors', 'machine.unloader_steps', 'machine.heat_stages']),
    words('machine.heat_pump'),
    words('machine.reversing'),
    words('thermostat.type'),
    words('thermostat.ob_setting'),
    words('thermostat.landed'),
    wordsAs('machine_landed', 'thermostat.landed'),
    optional('wire'),
  ],
}

/** What is set against what is required, as found, for the test and as left. */
export const settings: BenchSpec = {
  id: 'settings',
  undrawn: true,
  parts: [{ check: 'controls.settings', subject: 'machine' }],
  rows: [
    table(
      'items',
      [
        'kind',
        { field: 'required', when: (item) => item.kind !== 'one_of' },
        { field: 'tolerance', when: (item) => item.kind === 'within' },
        { field: 'allowed', when: (item) => item.kind === 'one_of' },
        { field: 'found', as: 'required', rest: true },
        'test',
        { field: 'left', as: 'found', rest: true },
        'reason',
        'initials',
        { field: 'must', seldom: true },
      ],
      { grows: true, starts: true },
    ),
  ],
}

/** The stages over the room's temperature, and a day of them. */
export const staging: BenchSpec = {
  id: 'staging',
  scaled: true,
  parts: [{ check: 'controls.staging', subject: 'machine' }],
  rows: [
    grid(['cool_setpoint', 'heat_setpoint'], 2),
    optional('counts'),
    grid(['differential', 'deadband'], 2),
    table('stages.cool', ['on_above', 'off_below', 'capacity'], { grows: true }),
    table('stages.heat', ['on_below', 'off_above', 'capacity', 'reheat'], { grows: true }),
    optional('economizer'),
    words('changeover'),
    grid(['min_on', 'min_off'], 2),
    optional('machine'),
    optional('lockouts'),
    optional('room'),
    optional('outdoor'),
    grid(['min_gap', 'band'], 2),
  ],
}

/** Whether the blower can slow down as far as the set point of the leaving air wants. */
export const leavingAir: BenchSpec = {
  id: 'leavingAir',
  scaled: true,
  parts: [{ check: 'controls.leaving_air', subject: 'machine' }],
  rows: [
    words('mode'),
    figure('sensible_capacity'),
    grid(['entering_db', 'leaving_set'], 2),
    grid(['min_airflow', 'max_airflow'], 2),
  ],
}

const isTried = (item: Item) => item.blocked === undefined || item.blocked === ''
/** Something was told, and not that there is nothing. */
const told = (value: unknown) => typeof value === 'string' || (Array.isArray(value) && value.length > 0)
const isCall = (item: Item) => isTried(item) && item.call !== 'emergency_off'

/** Each call with what should come on, what came on, and what let go. */
export const sequence: BenchSpec = {
  id: 'sequence',
  undrawn: true,
  parts: [{ check: 'controls.sequence', subject: 'machine' }],
  rows: [
    words('has'),
    words('heat_pump'),
    table(
      'calls',
      [
        { field: 'expected', when: isCall, some: true },
        { field: 'seen', when: isTried, as: 'expected' },
        { field: 'minutes', when: isTried, like: true },
        { field: 'proved_by', when: isCall, like: true },
        { field: 'air', when: isCall },
        { field: 'after', when: isCall, like: true },
        { field: 'after_minutes', when: (item) => isCall(item) && told(item.after) },
        { field: 'allowed', when: isTried, some: true, seldom: true },
        { field: 'delay', when: isTried, seldom: true },
        { field: 'off_delay', when: isCall, seldom: true },
        { field: 'blocked', seldom: true },
      ],
      { strict: true, from: 'has' },
    ),
  ],
}

/** Point by point down the 24 V call to the first dead one. */
export const callPath: BenchSpec = {
  id: 'callPath',
  parts: [{ check: 'controls.call_path', subject: 'machine' }],
  rows: [
    words('call_on'),
    words('pulled_in'),
    table('points', ['volts', 'kind', 'closed'], { grows: true, starts: true }),
    grid(['across_coil', 'idle'], 2),
    words('fuse_blown'),
    figure('nominal'),
  ],
}

/** What stands when we leave and whose it is, and who hears a new one. */
export const alarms: BenchSpec = {
  id: 'alarms',
  undrawn: true,
  parts: [{ check: 'controls.alarms', subject: 'machine' }],
  rows: [
    table('standing', ['reason', 'owner'], { grows: true }),
    table('sensors_missing', ['reason', 'owner'], { grows: true }),
    words('remote'),
    words('needed'),
    table(
      'tests',
      [
        { field: 'local', when: (item) => item.how !== 'not_tested' },
        { field: 'remote', when: (item) => item.how !== 'not_tested' },
        { field: 'cleared', when: (item) => item.how !== 'not_tested' },
        { field: 'restored', when: (item) => item.how !== 'not_tested' },
      ],
      { grows: true, starts: true, strict: true },
    ),
    table('now', [], { grows: true }),
  ],
}
