import { airflow, airPoint, fanDrive, mix, split, statics } from './air/air'
import { acid, insulation, inverter, match, windings } from './compressor/compressor'
import { float, trap } from './condensate/condensate'
import { alarms, callPath, leavingAir, sequence, settings, staging, terminals } from './controls/controls'
import {
  code,
  finding,
  flush,
  hotWork,
  hours,
  joints,
  lugs,
  liftDay,
  makerForm,
  moduleService,
  nextLook,
  oil,
  openValves,
  orderSheet,
  orphanLoad,
  partFailed,
  sensor,
  spares,
  swap,
  tripped,
  valves,
  warranty,
} from './entry/entries'
import { electricHeat, gasPressure, gasRate, heatPump, rise } from './heat/heat'
import { owner, pipe, prestart, set } from './list/lists'
import { bulb, flares, insulating, lengths, oldPipe, purge } from './piping/piping'
import { amps, legRoll } from './power/amps'
import { circuit, oldCircuit, plate } from './power/circuit'
import { rootCause } from './power/cause'
import { control } from './power/control'
import { lockout, oldLockout, unitLockout } from './power/lockout'
import { rotation, wheel } from './power/rotation'
import { loaded, oldSupply, sharedFeeder, supply, temporary } from './power/supply'
import {
  dials,
  dialsProved,
  disconnect,
  faultCurrent,
  feed,
  feeder,
  grounding,
  joints as hotJoints,
  motorTaps,
  transformer,
} from './power/wiring'
import {
  chargeState,
  cooling,
  lineFigure,
  orifice,
  roomLimit,
  saturation,
  targetSuperheat,
  trim,
  weighIn,
} from './refrigerant/charge'
import { decay, pullDown, pullTime, water } from './refrigerant/dry'
import { account, cylinder, rebound, wayOut } from './refrigerant/refrigerant'
import { hold } from './refrigerant/tight'
import { conditions, firstRun, firstStep, standing, warmUp } from './run/run'
import { leakSensor, smoke } from './safety/safety'
import type { BenchSpec } from './spec'
import {
  addresses,
  commission,
  crossedZones,
  leakBy,
  runPlan,
  systemCharge,
  systemWarmUp,
  treeBuilt,
  treePlanned,
} from './vrf/system'
import { wireMap } from './vrf/wires'
import { crane, curb, rigging, route, structure } from './survey/survey'

/** A tab of a question: a bench of checks, or one of the few that are no check. */
export type Tab = {
  id: string
  spec?: BenchSpec
  /** At a machine it is worked on a screen of its own; the bench stands in the Pocket. */
  own?: boolean
}

export const NOTE: Tab = { id: 'note' }
export const JOB: Tab = { id: 'job' }
/** What keeps the units of the job dead, all on one board. */
export const LOCKS: Tab = { id: 'locks' }
const of = (spec: BenchSpec): Tab => ({ id: spec.id, spec })

/** Which benches a question shows, in the order they are worked. */
export const GATES: Record<number, Tab[]> = {
  1: [
    of(curb),
    of(crane),
    of(rigging),
    of(structure),
    of(route),
    { id: 'options' },
    of(treePlanned),
    of(oldSupply),
    of(oldCircuit),
    of(liftDay),
    of(orderSheet),
    NOTE,
  ],
  2: [
    of(oldLockout),
    of(unitLockout),
    of(wayOut),
    { id: 'pumpDown' },
    of(moduleService),
    of(valves),
    of(rebound),
    of(cylinder),
    of(account),
    of(orphanLoad),
    of(oil),
    of(partFailed),
    of(acid),
    LOCKS,
    NOTE,
  ],
  3: [of(set), of(trap), NOTE],
  4: [
    of(oldPipe),
    of(flush),
    of(hotWork),
    of(joints),
    of(purge),
    of(flares),
    of(bulb),
    of(lengths),
    of(insulating),
    of(treeBuilt),
    of(pipe),
    NOTE,
  ],
  5: [of(hold), NOTE],
  6: [of(decay), of(pullDown), of(water), of(pullTime), of(openValves), NOTE],
  7: [
    of(supply),
    of(rotation),
    of(circuit),
    of(control),
    of(motorTaps),
    of(grounding),
    of(disconnect),
    of(feed),
    of(feeder),
    of(dials),
    of(lockout),
    of(swap),
    of(tripped),
    of(lugs),
    of(match),
    of(windings),
    of(insulation),
    of(inverter),
    of(plate),
    of(wireMap),
    of(temporary),
    of(sharedFeeder),
    of(faultCurrent),
    of(transformer),
    of(rootCause),
    LOCKS,
    NOTE,
  ],
  8: [
    of(standing),
    of(warmUp),
    of(systemWarmUp),
    of(prestart),
    { id: 'start' },
    { ...of(firstRun), own: true },
    of(firstStep),
    of(conditions),
    of(wheel),
    of(dialsProved),
    of(loaded),
    of(amps),
    of(legRoll),
    of(hotJoints),
    of(leakSensor),
    of(addresses),
    of(commission),
    NOTE,
  ],
  9: [
    of(weighIn),
    of(systemCharge),
    of(chargeState),
    of(trim),
    of(targetSuperheat),
    of(orifice),
    of(roomLimit),
    of(cooling),
    of(lineFigure),
    of(saturation),
    NOTE,
  ],
  10: [
    of(split),
    of(airflow),
    of(statics),
    of(gasPressure),
    of(gasRate),
    of(rise),
    of(electricHeat),
    of(heatPump),
    of(mix),
    of(float),
    of(fanDrive),
    of(airPoint),
    NOTE,
  ],
  11: [
    of(terminals),
    of(settings),
    of(staging),
    of(leavingAir),
    of(sequence),
    of(callPath),
    of(smoke),
    of(alarms),
    of(runPlan),
    of(crossedZones),
    of(leakBy),
    of(sensor),
    of(code),
    NOTE,
  ],
  12: [
    { id: 'leave' },
    of(owner),
    of(hours),
    of(spares),
    of(warranty),
    of(nextLook),
    of(finding),
    of(makerForm),
    NOTE,
  ],
}

/** Benches that stand only where they are asked for, or were used: not every unit hangs on a generator. */
export const SELDOM = [
  'standing',
  'warmUp',
  'motorTaps',
  'swap',
  'tripped',
  'lugs',
  'grounding',
  'disconnect',
  'feeder',
  'dials',
  'dialsProved',
  'faultCurrent',
  'transformer',
  'hotJoints',
  'leakSensor',
  'callPath',
  'smoke',
  'firstRun',
  'firstStep',
  'conditions',
  'feed',
  'match',
  'inverter',
  'code',
  'makerForm',
  'wireMap',
  'treePlanned',
  'treeBuilt',
  'systemWarmUp',
  'addresses',
  'commission',
  'systemCharge',
  'runPlan',
  'crossedZones',
  'leakBy',
  'sensor',
  'hours',
  'spares',
  'warranty',
  'nextLook',
  'finding',
  'rootCause',
  'staging',
  'leavingAir',
  'alarms',
  'heatPump',
  'gasPressure',
  'gasRate',
  'rise',
  'electricHeat',
  'mix',
  'fanDrive',
  'airPoint',
  'plate',
  'temporary',
  'sharedFeeder',
  'locks',
  'legRoll',
  'windings',
  'insulation',
  'oldSupply',
  'oldCircuit',
  'oldLockout',
  'unitLockout',
  'curb',
  'crane',
  'rigging',
  'route',
  'options',
  'liftDay',
  'orderSheet',
  'moduleService',
  'valves',
  'orphanLoad',
  'oil',
  'partFailed',
  'flush',
  'hotWork',
  'joints',
  'rebound',
  'cylinder',
  'account',
  'acid',
  'trap',
  'oldPipe',
  'flares',
  'bulb',
  'lengths',
  'insulating',
  'float',
  'pullDown',
  'water',
  'pullTime',
  'weighIn',
  'trim',
  'targetSuperheat',
  'orifice',
  'roomLimit',
  'cooling',
  'lineFigure',
  'saturation',
]

export const BENCHES: BenchSpec[] = Object.values(GATES).flatMap((tabs) =>
  tabs.flatMap((tab) => tab.spec ?? []),
)

export const isAbout = (spec: BenchSpec, check: string, subject: string): boolean =>
  spec.parts.some(
    (part) =>
      part.check === check &&
      (part.subject === subject ||
        subject.startsWith(`${part.subject}:`) ||
        (spec.indoor === true && /^indoor(:|$)/.test(subject)) ||
        (spec.only === true && subject.startsWith('circuit:'))),
  )

/** Stands at two questions: here only where it is asked, and it is corrected where it is at home. */
export const GUESTS = ['unitLockout', 'dialsProved']

/** Where a recorded check is corrected. */
export function tabOf(check: string, subject: string): { gate: number; tab: string } | null {
  for (const [gate, tabs] of Object.entries(GATES)) {
    const tab = tabs.find(
      (one) => one.spec !== undefined && !GUESTS.includes(one.id) && isAbout(one.spec, check, subject),
    )
    if (tab !== undefined) return { gate: Number(gate), tab: tab.id }
  }
  return null
}
