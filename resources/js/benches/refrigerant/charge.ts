import { type BenchSpec, type Context, figure, grid, measures, table, words } from '../spec'

/** What the rule adds something for, by the names the rule has for it. */
export const adders = ({ items }: Context): { value: string; text: string }[] =>
  [...new Set((items['charge_rule.adders'] ?? []).map((one) => String(one['when'] ?? '')))]
    .filter(Boolean)
    .map((when) => ({ value: when, text: when }))

/** The sum one can check by hand, and what of it went in by the scale. */
export const weighIn: BenchSpec = {
  id: 'weighIn',
  page: 'label',
  scaled: true,
  parts: [{ check: 'charge.weigh_in', subject: 'circuit' }],
  rows: [
    grid(['charge_rule.factory_charge', 'charge_rule.included_length'], 2),
    table('charge_rule.rates', ['liquid_od', 'per_length'], { grows: true }),
    table('lines', ['liquid_od', 'length'], { grows: true, starts: true }),
    table('charge_rule.adders', ['when', 'mass'], { grows: true }),
    figure('matched_indoor'),
    table('applies', [{ field: 'when', choices: adders, wide: true }, 'count'], { grows: true }),
    figure('already_in'),
    table('ledger', ['cylinder', 'start', 'end'], { grows: true }),
  ],
}

/** Superheat and subcooling of a running circuit, drawn as lengths on the dome. */
export const chargeState: BenchSpec = {
  id: 'chargeState',
  scaled: true,
  parts: [{ check: 'charge.state', subject: 'circuit' }],
  rows: [
    figure('refrigerant'),
    words('metering'),
    grid(['suction_pressure', 'suction_line'], 2),
    grid(['liquid_pressure', 'liquid_line'], 2),
    figure('running_minutes'),
    figure('outdoor_db'),
    grid(['indoor_wb', 'indoor_db'], 2),
    grid(['target_subcooling', 'target_superheat'], 2),
    words('indoor_airflow'),
    words('running'),
    table('history', ['minutes', 'suction_pressure', 'suction_line', 'liquid_pressure', 'liquid_line'], {
      grows: true,
    }),
    words('chart.target'),
    words('chart.indoor'),
    table('chart.points', ['outdoor', 'indoor', 'value'], { grows: true }),
    figure('chart.tolerance'),
  ],
}

/** How much more, or how much out, step by step. */
export const trim: BenchSpec = {
  id: 'trim',
  parts: [{ check: 'charge.trim', subject: 'circuit' }],
  rows: [
    words('metering'),
    grid(['target', 'weighed_total', 'size']),
    table('steps', ['mass_in_total', 'subcooling', 'superheat'], { grows: true, starts: true }),
    words('condenser'),
  ],
}

/** What a fixed orifice should show today. */
export const targetSuperheat: BenchSpec = {
  id: 'targetSuperheat',
  parts: [{ check: 'charge.target_superheat', subject: 'circuit' }],
  rows: [grid(['indoor_wb', 'indoor_db'], 2), figure('outdoor_db'), figure('superheat')],
}

/** The orifice this match wants. */
export const orifice: BenchSpec = {
  id: 'orifice',
  parts: [{ check: 'charge.orifice', subject: 'machine' }],
  undrawn: true,
  rows: [
    grid(['outdoor', 'indoor'], 2),
    figure('installed'),
    table('table', ['outdoor', 'indoor', 'orifice', 'mass'], { grows: true, starts: true }),
  ],
}

/** The sheet's figure for the lines against what their bore holds. */
export const lineFigure: BenchSpec = {
  id: 'lineFigure',
  parts: [{ check: 'charge.line_check', subject: 'machine' }],
  undrawn: true,
  rows: [
    figure('refrigerant'),
    table('rates', ['liquid_od', 'per_length', 'wall'], { grows: true, starts: true }),
  ],
}

/** Whether a leak of all of it could hurt somebody in the smallest room. */
export const roomLimit: BenchSpec = {
  id: 'roomLimit',
  parts: [{ check: 'charge.room_limit', subject: 'machine' }],
  rows: [
    figure('refrigerant'),
    figure('total_charge'),
    measures('smallest_room', 'area', 'height', 'volume'),
    words('release'),
    words('mitigation'),
    table('connected', ['name', 'area', 'height', 'volume'], { grows: true }),
  ],
}

/** If it is not the charge: the causes by how well they fit, and the one next test. */
export const cooling: BenchSpec = {
  id: 'cooling',
  parts: [
    {
      check: 'diagnose.cooling',
      subject: 'circuit',
      without: [
        'features',
        ...['evap', 'cond', 'superheat', 'subcooling', 'split', 'amps'].map((one) => `features.${one}`),
      ],
    },
  ],
  rows: [
    figure('refrigerant'),
    words('metering'),
    grid(['suction_pressure', 'suction_line'], 2),
    grid(['liquid_pressure', 'liquid_line'], 2),
    grid(['return_db', 'return_wb', 'supply_db']),
    grid(['outdoor_db', 'running_minutes'], 2),
    figure('tons'),
    figure('amps_ratio'),
    figure('drier_drop'),
    grid(['off_cycle_pressure', 'off_cycle_air'], 2),
  ],
}

/** Pressure and temperature of a refrigerant. */
export const saturation: BenchSpec = {
  id: 'saturation',
  undrawn: true,
  parts: [{ check: 'refrigerant.saturation', subject: 'machine' }],
  rows: [figure('refrigerant'), grid(['pressure', 'temperature'], 2)],
}
