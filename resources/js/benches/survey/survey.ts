import { type BenchSpec, figure, grid, type Item, measures, optional, table, words } from '../spec'

const rect = (of: string) => measures(of, 'x', 'y', 'length', 'width')

/** The new base over the old curb, drawn to scale, turned and dragged. */
export const curb: BenchSpec = {
  id: 'curb',
  page: 'curb',
  scaled: true,
  parts: [{ check: 'survey.curb_fit', subject: 'machine' }],
  rows: [
    measures('curb_outside', 'length', 'width'),
    measures('unit_base', 'length', 'width'),
    words('unit_rotation'),
    words('discharge'),
    rect('curb_openings.supply'),
    rect('curb_openings.return'),
    rect('unit_openings.supply'),
    rect('unit_openings.return'),
    figure('out_of_level'),
    optional('adapter'),
  ],
}

/** Wall, roof, boom and load in section, held against the crane's chart. */
export const crane: BenchSpec = {
  id: 'crane',
  page: 'crane',
  scaled: true,
  parts: [{ check: 'survey.crane', subject: 'machine' }],
  rows: [
    grid(['roof_height', 'parapet_height', 'set_height']),
    grid(['edge_distance', 'setback'], 2),
    grid(['unit_height', 'unit_length', 'sling_height']),
    grid(['gross_load', 'deductions'], 2),
    table('chart', ['boom', 'radius', 'capacity'], { grows: true, starts: true }),
    optional('power_line'),
  ],
}

/** What hangs, where its weight lies, and what each sling pulls. */
export const rigging: BenchSpec = {
  id: 'rigging',
  scaled: true,
  parts: [{ check: 'survey.rigging', subject: 'machine' }],
  rows: [
    figure('unit_weight'),
    words('weight_source'),
    grid(['accessories', 'adapter', 'rigging_weight']),
    measures('lift_points', 'length', 'width'),
    measures('cg', 'x', 'y'),
    words('spreader'),
    words('lift_from'),
    grid(['sling_angle', 'sling_length'], 2),
    figure('sling_rating'),
  ],
}

/** The new weight against what the roof has carried. */
export const structure: BenchSpec = {
  id: 'structure',
  parts: [{ check: 'survey.structure', subject: 'machine' }],
  rows: [
    figure('new_weight'),
    grid(['accessories', 'adapter'], 2),
    figure('old_weight'),
    words('same_place'),
    words('engineer_approved'),
  ],
}

const MEASURES: Record<string, string[]> = {
  door: ['width', 'height'],
  corridor_turn: ['width_in', 'width_out', 'height'],
  lift_car: ['door_width', 'door_height', 'depth', 'width', 'height', 'capacity'],
  stair: ['width', 'headroom', 'turns'],
  ladder: [],
  hatch: ['length', 'width'],
  rail: [],
}
const asked = (field: string) => ({
  field,
  when: (item: Item) => (MEASURES[String(item.kind)] ?? []).includes(field),
})

/** The path in, opening by opening; the tightest is drawn with the piece in it. */
export const route: BenchSpec = {
  id: 'route',
  scaled: true,
  parts: [{ check: 'survey.route', subject: 'machine' }],
  rows: [
    measures('item', 'length', 'width', 'height'),
    figure('item.weight'),
    words('item.keep_upright'),
    table(
      'steps',
      [
        'kind',
        'name',
        ...[
          'length',
          'width_in',
          'width_out',
          'door_width',
          'door_height',
          'depth',
          'width',
          'height',
          'headroom',
          'turns',
          'capacity',
        ].map(asked),
      ],
      { grows: true, starts: true, strict: true },
    ),
    grid(['trolley_height', 'trolley_weight'], 2),
  ],
}
