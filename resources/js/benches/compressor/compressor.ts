import { markRaw } from 'vue'
import WindingsSketch from '@/drawings/WindingsSketch.vue'
import { type BenchSpec, table, figure, grid, measures, words } from '../spec'

/** Three resistances of one compressor, even and near the sheet. */
export const windings: BenchSpec = {
  id: 'windings',
  parts: [{ check: 'compressor.windings', subject: 'compressor' }],
  sketch: markRaw(WindingsSketch),
  rows: [
    figure('ohms_ab'),
    figure('ohms_bc'),
    figure('ohms_ca'),
    figure('at_temperature'),
    words('meter'),
    figure('lead_ohms'),
  ],
}

/** One compressor to ground. */
export const insulation: BenchSpec = {
  id: 'insulation',
  parts: [{ check: 'compressor.insulation', subject: 'compressor' }],
  rows: [
    words('instrument'),
    words('system_state'),
    words('drive_connected'),
    figure('megohms'),
    figure('winding_temperature'),
    words('warmed'),
    figure('previous_megohms'),
  ],
}

/** The plate of the new one beside that of the old one, and what it meets in this unit. */
export const match: BenchSpec = {
  id: 'match',
  parts: [{ check: 'compressor.match', subject: 'compressor' }],
  rows: [
    words('old.kind'),
    words('old.oil'),
    words('old.start'),
    measures('old', 'rla', 'capacity', 'suction', 'discharge'),
    words('new.kind'),
    words('new.oil'),
    words('new.start'),
    measures('new', 'rla', 'lra', 'capacity', 'nominals'),
    measures('new', 'suction', 'discharge'),
    words('new.phases'),
    words('new.refrigerants'),
    grid(['supply_average', 'usable', 'breaker']),
    grid(['contactor', 'contactor_lra'], 2),
    grid(['other_amps', 'other_largest'], 2),
    words('tandem'),
    words('phase_monitor'),
    words('label_on'),
    words('start_parts_new'),
    words('crankcase'),
    grid(['heater_watts', 'heater_volts', 'heater_supply']),
    figure('heater_needs'),
    figure('capacity_band'),
  ],
}

/** What killed the compressor, by its oil. */
export const acid: BenchSpec = {
  id: 'acid',
  undrawn: true,
  parts: [{ check: 'compressor.acid', subject: 'machine' }],
  rows: [
    words('failure'),
    words('oil_acid'),
    words('oil_colour'),
    words('oil_type'),
    words('lines_reused'),
    figure('open_time'),
  ],
}

/** Which part of an inverter failed: the bus against the line, six diodes in, six out, the compressor off it. */
export const inverter: BenchSpec = {
  id: 'inverter',
  undrawn: true,
  parts: [{ check: 'compressor.inverter', subject: 'compressor' }],
  rows: [
    grid(['line_ab', 'line_bc', 'line_ca']),
    grid(['bus_live', 'sheet_bus'], 2),
    words('locked'),
    figure('bus_dead'),
    table('rectifier', ['forward', 'reverse'], { facts: ['leg', 'bus'], grows: true }),
    words('leads_lifted'),
    table('output', ['forward', 'reverse'], { facts: ['leg', 'bus'], grows: true }),
    words('windings'),
    words('insulation'),
    grid(['out_uv', 'out_vw', 'out_wu']),
  ],
}
