import { type Component, markRaw } from 'vue'
import TreeSketch from '@/drawings/TreeSketch.vue'
import { i18n } from '@/i18n'
import { adders } from '../refrigerant/charge'
import {
  type BenchSpec,
  type Context,
  type Item,
  type Picks,
  figure,
  grid,
  matrix,
  picked,
  table,
  words,
} from '../spec'

const isBox = (item: Record<string, unknown>) => item['kind'] === 'box'
const has = (item: Record<string, unknown>) => ['outdoor', 'indoor'].includes(String(item['kind']))

/** The tree: every unit, joint and box with what feeds it. */
const tree = (id: string, subject: string, sketch?: Component): BenchSpec => ({
  id,
  ...(sketch === undefined ? {} : { sketch: markRaw(sketch) }),
  scaled: true,
  page: 'tree',
  over: true,
  parts: [{ check: 'vrf.topology', subject }],
  rows: [
    { row: 'treeFile', of: 'tree' },
    {
      row: 'tree',
      nodes: [
        { field: 'capacity', when: has },
        { field: 'room', when: (item) => item['kind'] === 'indoor' },
        { field: 'ports', when: isBox },
        { field: 'capped', when: isBox },
        { field: 'address', when: (item) => item['kind'] !== 'joint', seldom: true },
        { field: 'set', when: (item) => item['kind'] === 'joint', seldom: true },
      ],
      pipes: [
        { field: 'actual', broad: true },
        { field: 'rise', broad: true },
        { field: 'liquid_od' },
        { field: 'gas_od' },
        { field: 'ports', when: (item) => item['from'] === 'box' },
        ...['elbows_short', 'elbows_long', 'bends', 'tees', 'valves_globe', 'valves_angle'].map((field) => ({
          field,
          seldom: true,
        })),
      ],
    },
    table('limits.sizes', [], { grows: true }),
  ],
})
export const treePlanned = tree('treePlanned', 'planned')
export const treeBuilt = tree('treeBuilt', 'built', TreeSketch)

/** Every address before power-up, and what the outdoor unit finds after it. */
export const addresses: BenchSpec = {
  id: 'addresses',
  undrawn: true,
  parts: [{ check: 'vrf.addresses', subject: 'machine' }],
  rows: [
    words('powered'),
    { row: 'treeFile', of: 'addresses' },
    table(
      'devices',
      [
        'address',
        { field: 'box', when: (item) => item['kind'] === 'indoor' },
        { field: 'group', when: (item) => item['kind'] === 'indoor', seldom: true },
        { field: 'main', when: (item) => item['kind'] === 'indoor', seldom: true },
        { field: 'bus', seldom: true },
      ],
      { facts: ['kind', 'box'], grows: true, starts: true },
    ),
    grid(['found.outdoor', 'found.box', 'found.indoor']),
  ],
}

/** Hours of heat by the coldest of the last day, and the earliest start. */
export const systemWarmUp: BenchSpec = {
  id: 'systemWarmUp',
  parts: [{ check: 'vrf.warm_up', subject: 'machine' }],
  rows: [
    figure('coldest_24h'),
    figure('powered_since'),
    figure('wanted_start'),
    table('outages', [], { grows: true }),
  ],
}

const listOf = (value: unknown): Item[] => (Array.isArray(value) ? (value as Item[]) : [])
/** The steps of the sheet's script, each by its code; counted from 0 as the check counts them. */
const scriptSteps: Picks = (prefill) =>
  listOf(prefill['script']).map((step, i) => ({
    value: String(i),
    text: [step['code'], step['meaning']].filter(Boolean).join(', '),
  }))
/** What a step needs; a need with a comma in it is typed. */
const scriptNeeds: Picks = (prefill) => {
  const needs = listOf(prefill['script']).flatMap((step) => (step['needs'] as string[] | undefined) ?? [])
  return needs.some((need) => /[,;]/.test(need))
    ? []
    : [...new Set(needs)].map((need) => ({ value: need, text: need }))
}
const indoorNames: Picks = (prefill) =>
  listOf(prefill['indoor']).map((unit) => ({ value: String(unit['id']), text: String(unit['id']) }))

/** The sheet's script, step by step. */
export const commission: BenchSpec = {
  id: 'commission',
  undrawn: true,
  parts: [{ check: 'vrf.commission', subject: 'machine' }],
  rows: [
    { row: 'live', of: 'commission' },
    picked('step', scriptSteps),
    grid(['shown', 'minutes_in_step'], 2),
    picked('needs_done', scriptNeeds),
    table('indoor', [{ field: 'ready', like: true }], { grows: true, starts: true }),
    picked('mode_holder', indoorNames),
    words('owner_told'),
  ],
}

/** The steps of the plan, as the boxes on the bench make them. */
function steps({ items }: Context): { value: string; text: string }[] {
  const { t } = i18n.global
  const boxes = (items['boxes'] ?? []).map((box) => ({
    id: String(box['id']),
    indoor: Array.isArray(box['indoor']) ? box['indoor'].map(String) : [],
  }))
  const all = boxes.flatMap((box) => box.indoor)
  return [
    ...all.map((unit) => ({ value: `alone:${unit}`, text: t('runPlan.alone', { unit }) })),
    ...boxes
      .filter((box) => box.indoor.length > 1)
      .map((box) => ({ value: `box:${box.id}`, text: t('runPlan.box', { box: box.id }) })),
    ...all.slice(1).map((_, i) => ({ value: `all:${i + 2}`, text: t('runPlan.all', { count: i + 2 }) })),
  ]
}

/** Each alone, each box, then all: with the four temperatures of each. */
export const runPlan: BenchSpec = {
  id: 'runPlan',
  undrawn: true,
  parts: [{ check: 'vrf.run_plan', subject: 'machine' }],
  rows: [
    { row: 'live', of: 'plan' },
    table(
      'results',
      [
        'passed',
        ...['return_air', 'supply_air', 'liquid_pipe', 'gas_pipe'].map((field) => ({ field, broad: true })),
      ],
      { lays: steps },
    ),
    table('boxes', ['indoor'], { grows: true, starts: true }),
    figure('minutes_each'),
  ],
}

/** Which coil answered which call. */
export const crossedZones: BenchSpec = {
  id: 'crossedZones',
  undrawn: true,
  parts: [{ check: 'vrf.crossed_zones', subject: 'machine' }],
  rows: [{ row: 'live', of: 'zones' }, words('mode'), figure('zones'), matrix('matrix', 'changes', 'zones')],
}

/** A night's log of all indoor units. */
export const leakBy: BenchSpec = {
  id: 'leakBy',
  parts: [{ check: 'vrf.leak_by', subject: 'machine' }],
  rows: [figure('csv'), words('temperature_unit')],
}

/** The charge by every length of line, and all of it in the smallest room. */
export const systemCharge: BenchSpec = {
  id: 'systemCharge',
  parts: [{ check: 'vrf.charge', subject: 'machine' }],
  rows: [
    grid(['smallest_room.area', 'smallest_room.height'], 2),
    figure('smallest_room.volume'),
    table('lines', [], { facts: ['liquid_od', 'length'], grows: true, starts: true }),
    table('applies', [{ field: 'when', choices: adders, wide: true }, 'count'], { grows: true }),
    figure('already_in'),
    table('ledger', ['cylinder', 'start', 'end'], { grows: true }),
    words('mitigation'),
    words('release'),
    table('connected', ['area', 'height', { field: 'volume', seldom: true }], { grows: true }),
    table('charge_rule.rates', [], { grows: true }),
    table('charge_rule.adders', [], { grows: true }),
  ],
}
