import { markRaw } from 'vue'
import JointBoard from '@/drawings/JointBoard.vue'
import ServiceBoard from '@/drawings/ServiceBoard.vue'
import ValveBoard from '@/drawings/ValveBoard.vue'
import { type BenchSpec, compressorOr, figure, grid, table, words } from '../spec'

/** What a supplier asks of the old unit before the new one is built. */
export const orderSheet: BenchSpec = {
  id: 'orderSheet',
  page: 'order',
  undrawn: true,
  parts: [{ check: 'entry.order_sheet', subject: 'machine' }],
  rows: [
    grid(['model', 'serial'], 2),
    grid(['volts', 'phases'], 2),
    grid(['mca', 'mocp', 'weight']),
    grid(['refrigerant', 'charge'], 2),
    words('heat'),
    grid(['heat_input', 'gas_side', 'gas_pressure']),
    words('discharge'),
    grid(['supply_drop', 'return_drop', 'curb']),
    grid(['economizer', 'exhaust', 'drain_side']),
    grid(['conduit', 'controls', 'wires']),
    words('accessories'),
    grid(['clearances', 'stays'], 2),
  ],
}

/** What is arranged for the day the unit goes up. */
export const liftDay: BenchSpec = {
  id: 'liftDay',
  undrawn: true,
  parts: [{ check: 'entry.lift_day', subject: 'machine' }],
  rows: [
    grid(['permit', 'quiet_until'], 2),
    grid(['ground_by', 'signals'], 2),
    grid(['elevator', 'hatch'], 2),
    figure('crane_up_at'),
    words('hatch_open'),
  ],
}

/** What else hung on the old disconnect. */
export const orphanLoad: BenchSpec = {
  id: 'orphanLoad',
  undrawn: true,
  parts: [{ check: 'entry.orphan_load', subject: 'machine' }],
  rows: [grid(['what', 'disconnect'], 2), grid(['fed_from', 'told'], 2)],
}

/** Every valve of a circuit with its state, and who set it so. */
export const valves: BenchSpec = {
  id: 'valves',
  parts: [{ check: 'entry.valve', subject: 'circuit' }],
  sketch: markRaw(ValveBoard),
  board: true,
  rows: [figure('name'), words('kind'), words('state'), figure('turns'), words('cap'), figure('moved_to')],
}

/** A module of a VRF whose valves are held open, and what comes off it while it is worked on. */
export const moduleService: BenchSpec = {
  id: 'moduleService',
  parts: [{ check: 'entry.service_mode', subject: 'machine' }],
  sketch: markRaw(ServiceBoard),
  board: true,
  rows: [figure('module'), words('on'), figure('held'), figure('power_since'), words('lost')],
}

/** Refrigerant is let into a circuit: refused until it holds and is dry. */
export const openValves: BenchSpec = {
  id: 'openValves',
  parts: [{ check: 'entry.open_valves', subject: 'circuit' }],
  sketch: markRaw(ValveBoard),
  board: true,
  act: 'valves',
  rows: [words('released'), table('valves', ['turns'], { grows: true, starts: true }), words('bubbled')],
}

/** A compressor's oil, out and in. */
export const oil: BenchSpec = {
  id: 'oil',
  undrawn: true,
  parts: [{ check: 'entry.oil', subject: 'compressor' }],
  rows: [
    figure('out_amount'),
    words('out_colour'),
    words('out_acid'),
    figure('in_amount'),
    words('in_kind'),
    figure('can_open'),
  ],
}

export const partFailed: BenchSpec = {
  id: 'partFailed',
  undrawn: true,
  parts: [{ check: 'entry.part_failed', subject: 'machine' }],
  rows: [compressorOr('what'), figure('how'), words('kept'), figure('sent_to')],
}

/** Two conductors that changed places. */
export const swap: BenchSpec = {
  id: 'swap',
  undrawn: true,
  parts: [{ check: 'entry.swap', subject: 'machine' }],
  rows: [figure('load'), words('place'), words('first'), words('second'), figure('reason')],
}

/** What was found tripped, before anybody resets it. */
export const tripped: BenchSpec = {
  id: 'tripped',
  undrawn: true,
  parts: [{ check: 'entry.breaker_tripped', subject: 'machine' }],
  rows: [
    words('kind'),
    figure('place'),
    figure('rating'),
    words('since'),
    words('reset'),
    figure('reset_by'),
  ],
}

/** Lugs as figures. */
export const lugs: BenchSpec = {
  id: 'lugs',
  undrawn: true,
  parts: [{ check: 'entry.lug_torque', subject: 'machine' }],
  rows: [figure('place'), grid(['torque', 'sheet_torque'], 2), figure('wrench')],
}

export const flush: BenchSpec = {
  id: 'flush',
  undrawn: true,
  parts: [{ check: 'entry.flush', subject: 'machine' }],
  rows: [figure('part'), words('with'), words('until_clean'), words('blown')],
}

/** The joints of a circuit in the order they are made. */
export const joints: BenchSpec = {
  id: 'joints',
  parts: [{ check: 'entry.joint', subject: 'circuit' }],
  sketch: markRaw(JointBoard),
  board: true,
  rows: [
    figure('name'),
    words('kind'),
    words('state'),
    figure('by'),
    words('purged'),
    words('cores_out'),
    words('bulb_off'),
    words('heat_sink'),
    figure('rod'),
    words('seen'),
  ],
}

export const hotWork: BenchSpec = {
  id: 'hotWork',
  undrawn: true,
  parts: [{ check: 'entry.hot_work', subject: 'machine' }],
  rows: [
    figure('place'),
    figure('permit'),
    words('extinguisher'),
    figure('detectors'),
    grid(['alarm_off_at', 'alarm_off_who'], 2),
    grid(['first_flame_at', 'last_flame_at', 'fire_watch']),
    figure('alarm_on_at'),
  ],
}

/** What a sensor shows beside a thermometer. */
export const sensor: BenchSpec = {
  id: 'sensor',
  undrawn: true,
  parts: [{ check: 'entry.sensor', subject: 'machine' }],
  rows: [figure('sensor'), grid(['shows', 'reference'], 2)],
}

/** Counters of a compressor, read when one comes and when one leaves. */
export const hours: BenchSpec = {
  id: 'hours',
  undrawn: true,
  parts: [{ check: 'entry.hours', subject: 'compressor' }],
  rows: [words('when'), grid(['hours', 'starts'], 2), words('read_from')],
}

export const spares: BenchSpec = {
  id: 'spares',
  undrawn: true,
  parts: [{ check: 'entry.spares', subject: 'machine' }],
  rows: [grid(['what', 'how_many'], 2), figure('where'), words('van')],
}

export const warranty: BenchSpec = {
  id: 'warranty',
  undrawn: true,
  parts: [{ check: 'entry.warranty', subject: 'machine' }],
  rows: [
    grid(['started', 'registration_days', 'register_by']),
    grid(['registered', 'number'], 2),
    grid(['parts_until', 'compressor_until', 'labor_until']),
  ],
}

/** A day somebody comes back. */
export const nextLook: BenchSpec = {
  id: 'nextLook',
  undrawn: true,
  parts: [{ check: 'entry.next_look', subject: 'machine' }],
  rows: [figure('day'), words('read'), figure('why')],
}

/** One page for whoever pays. */
export const finding: BenchSpec = {
  id: 'finding',
  page: 'finding',
  undrawn: true,
  parts: [{ check: 'entry.finding', subject: 'machine' }],
  rows: [figure('sentence'), figure('evidence'), figure('state_left'), figure('needs'), figure('cost')],
}

/** A step or a fault, and what tells its causes apart. */
export const code: BenchSpec = {
  id: 'code',
  undrawn: true,
  parts: [{ check: 'entry.code', subject: 'machine' }],
  rows: [grid(['code', 'seen_at'], 2)],
}

/** The maker's own questions, answered from the record or by hand. */
export const makerForm: BenchSpec = {
  id: 'makerForm',
  page: 'form',
  undrawn: true,
  parts: [{ check: 'entry.maker_form', subject: 'machine' }],
  rows: [table('items', [{ field: 'answer', wide: true }], { grows: true })],
}
