import { type BenchSpec, figure, grid, optional, table, words } from '../spec'

/** Gas at the valve and at the burners. */
export const gasPressure: BenchSpec = {
  id: 'gasPressure',
  scaled: true,
  parts: [{ check: 'heat.gas_pressure', subject: 'machine' }],
  rows: [
    words('gas'),
    words('firing'),
    grid(['manifold', 'plate_manifold'], 2),
    grid(['inlet_static', 'inlet_flowing'], 2),
    words('all_firing'),
  ],
}

/** The meter clocked, or the orifices counted where there is none. */
export const gasRate: BenchSpec = {
  id: 'gasRate',
  scaled: true,
  parts: [{ check: 'heat.gas_rate', subject: 'machine' }],
  rows: [
    words('gas'),
    words('firing'),
    grid(['dial_volume', 'revolutions', 'seconds']),
    words('others_off'),
    figure('low_input'),
    grid(['heating_value', 'gas_pressure', 'gas_temperature']),
    optional('orifices'),
  ],
}

/** The rise against the nameplate, the first fire, what tripped and the flue. */
export const rise: BenchSpec = {
  id: 'rise',
  scaled: true,
  parts: [{ check: 'heat.rise', subject: 'machine' }],
  rows: [
    grid(['return_db', 'supply_db', 'minutes_firing']),
    words('out_of_sight'),
    words('tripped'),
    optional('flue'),
    words('new_gas_piping'),
    optional('first_fire'),
    words('outdoor_air_between'),
  ],
}

/** Every bank of electric heat, leg by leg. */
export const electricHeat: BenchSpec = {
  id: 'electricHeat',
  parts: [{ check: 'heat.electric', subject: 'machine' }],
  rows: [
    figure('volts'),
    words('phases'),
    table('stages', ['name', 'kw_rated', 'volts_rated', 'amps_a', 'amps_b', 'amps_c'], {
      grows: true,
      starts: true,
    }),
    words('airflow_proved'),
  ],
}

/** Whether it heats, swaps and defrosts; out of season the valve alone. */
export const heatPump: BenchSpec = {
  id: 'heatPump',
  undrawn: true,
  parts: [{ check: 'heat.heat_pump', subject: 'machine' }],
  rows: [
    words('testable'),
    words('reversing'),
    optional('valve'),
    optional('run'),
    table('ratings', ['outdoor', 'capacity'], { grows: true }),
    optional('defrost'),
    words('aux'),
    words('aux_seen'),
    words('together'),
    grid(['aux_lockout', 'compressor_lockout', 'balance_point']),
    words('lockout_seen'),
    words('vrf'),
  ],
}
