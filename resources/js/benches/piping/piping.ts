import { markRaw } from 'vue'
import BulbSketch from '@/drawings/BulbSketch.vue'
import { type BenchSpec, figure, grid, type Item, table, words } from '../spec'

/** Nitrogen through the joint, and everything around it ready for heat. */
export const purge: BenchSpec = {
  id: 'purge',
  parts: [{ check: 'piping.purge', subject: 'circuit' }],
  rows: [
    words('system_charged'),
    words('exit_open'),
    words('flow_kind'),
    figure('flow'),
    words('cores_out'),
    words('bulb_off'),
    words('heat_sinks'),
    words('valves_open'),
    words('plastics_away'),
    words('detectors_isolated'),
  ],
}

/** A flare nut by its torque. */
export const flares: BenchSpec = {
  id: 'flares',
  parts: [{ check: 'piping.flare_torque', subject: 'circuit' }],
  rows: [
    figure('size'),
    words('tube'),
    words('backup_wrench'),
    figure('measured'),
    grid(['sheet_min', 'sheet_max'], 2),
  ],
}

/** One line end to end, with what its fittings count. */
export const lengths: BenchSpec = {
  id: 'lengths',
  parts: [{ check: 'piping.equivalent_length', subject: 'circuit' }],
  rows: [
    table(
      'runs',
      [
        'od',
        'length',
        'elbows_short',
        'elbows_long',
        'bends',
        'tees',
        'valves_globe',
        'valves_angle',
        'driers',
      ],
      { grows: true, starts: true },
    ),
    grid(['limit_equivalent', 'limit_actual'], 2),
    grid(['rise', 'limit_rise'], 2),
    grid(['trap_every', 'traps'], 2),
  ],
}

/** Where the bulb sits on the suction line, on a clock face. */
export const bulb: BenchSpec = {
  id: 'bulb',
  parts: [{ check: 'piping.bulb', subject: 'circuit' }],
  sketch: markRaw(BulbSketch),
  rows: [
    figure('od'),
    words('orientation'),
    figure('clock'),
    words('tail_up'),
    words('place'),
    words('strapped'),
    words('insulated'),
    figure('sheet_clock'),
  ],
}

/** Whether the line sweats in this air. */
export const insulating: BenchSpec = {
  id: 'insulating',
  parts: [{ check: 'piping.insulation', subject: 'machine' }],
  rows: [
    figure('pipe_od'),
    figure('surface_temperature'),
    grid(['air_temperature', 'relative_humidity'], 2),
    figure('thickness'),
    words('joints_sealed'),
  ],
}

const line = (field: string) => ({
  field,
  when: (item: Item) => ['liquid', 'gas'].includes(String(item.kind)),
})

/** Old lines and coils that are to stay. */
export const oldPipe: BenchSpec = {
  id: 'oldPipe',
  only: true,
  parts: [{ check: 'piping.reuse', subject: 'machine' }],
  rows: [
    table(
      'parts',
      [
        line('od'),
        line('sheet_od'),
        line('wall'),
        line('sheet_wall'),
        line('length'),
        line('length_from'),
        { field: 'match', when: (item) => item.kind === 'coil' },
        'design',
        'rating',
        'hidden',
        'damaged',
      ],
      { grows: true, strict: true },
    ),
    words('old_oil'),
    words('new_oil'),
    words('failure'),
    words('acid'),
    words('acid_after'),
    words('flush'),
    words('until_clean'),
    words('parts_off'),
    words('solvent_out'),
    words('held'),
    figure('held_pressure'),
  ],
}
