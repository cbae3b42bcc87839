import { readable } from './sheet'

/** A sheet as it is read: a nameplate, its tables, and what else it says; with what another version had in its place. */
export type Cell = { text: string; was: string; differs: boolean }
export type PlateLine = { key: string; cell: Cell }
export type Part =
  | { kind: 'plate'; lines: PlateLine[] }
  | { kind: 'table'; key: string; columns: string[]; rows: { name: string; cells: Cell[] }[] }
  | { kind: 'lines'; key: string; lines: PlateLine[] }

type Json = Record<string, unknown>
const ABOUT = ['model', 'maker', 'kind', 'serial_pattern']
/** As a nameplate has it: what one looks for first stands first. */
const PLATE = [
  'plate_voltage',
  'phases',
  'frequency',
  'mca',
  'mocp',
  'terminal_rating',
  'lug_torque',
  'volts_min',
  'volts_max',
]
const COLUMNS = [
  'kind',
  'drive',
  'phases',
  'amps',
  'locked_rotor_amps',
  'ohms',
  'quantity',
  'runs_in',
  'refrigerant',
  'charge_rule.factory_charge',
  'metering',
  'target_subcooling',
  'target_superheat',
  'oil',
  'compressors',
  'lowest_design_pressure',
  'plate_high_pressure',
]
const APART = ['motors', 'heaters']
/** What a circuit is charged by stands apart, a circuit each. */
const CHARGED_BY = ['charge_rule', 'orifice_table', 'charging_chart', 'superheat_table']
const TABLES = ['electrical.motors', 'electrical.heaters', 'circuits']
const REST = ['air', 'heat', 'controls', 'kit', 'size', 'warranty', 'papers', 'vrf']
/** What belongs under one heading though it stands apart in the file. */
const UNDER: Record<string, string> = {
  weights: 'size',
  unit_base: 'size',
  unit_openings: 'size',
  lift_points: 'size',
  clearances: 'size',
}

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const isQuantity = (value: unknown): value is { value: unknown; unit: unknown } =>
  isObject(value) && 'value' in value && 'unit' in value && Object.keys(value).length === 2
/** What a thing is called; what is said of it comes after. */
const LEADS = ['name', 'what', 'code', 'title', 'liquid_od', 'when']
/** Figures whose unit says what they are. */
const OBVIOUS = ['per_length', 'mass', 'value']
const OUNCES = 16
/** A charge as it is read out: 228 oz are 14 lb 4 oz. */
export function charge(text: string): string {
  const ounces = Number(/^(\d+(?:\.\d+)?) oz$/.exec(text)?.[1] ?? 0)
  if (ounces < OUNCES) return text
  const left = Number((ounces % OUNCES).toFixed(2))
  return `${Math.floor(ounces / OUNCES)} lb${left === 0 ? '' : ` ${left} oz`}`
}
const plain = (value: unknown): string => {
  if (value === undefined || value === null) return ''
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (isQuantity(value)) return charge(readable(`${String(value.value)} ${String(value.unit)}`))
  if (Array.isArray(value))
    return value
      .map(plain)
      .filter(Boolean)
      .join(value.some(isObject) ? '; ' : ', ')
  if (isObject(value)) {
    const leads = Object.keys(value).filter((key) => LEADS.includes(key))
    const rest = Object.entries(value)
      .filter(([key]) => !leads.includes(key))
      .map(([key, one]) => (OBVIOUS.includes(key) ? plain(one) : `${key.replace(/_/g, ' ')} ${plain(one)}`))
      .join(', ')
    return [leads.map((key) => plain(value[key])).join(', '), rest].filter(Boolean).join(': ')
  }
  return charge(readable(String(value)))
}
const cell = (now: unknown, before: unknown): Cell => {
  const [text, was] = [plain(now), plain(before)]
  return { text, was, differs: text !== was }
}
const at = (body: Json, path: string): unknown =>
  path.split('.').reduce<unknown>((value, key) => (isObject(value) ? value[key] : undefined), body)
const list = (value: unknown): Json[] => (Array.isArray(value) ? value.filter(isObject) : [])

/** The members of an object one below the other, those of objects in it with their own names. */
function leaves(value: unknown, key: string): [string, unknown][] {
  if (!isObject(value) || isQuantity(value)) return [[key, value]]
  return Object.entries(value).flatMap(([own, one]) => leaves(one, key === '' ? own : `${key}.${own}`))
}

function lines(now: unknown, before: unknown, key: string): PlateLine[] {
  const [a, b] = [Object.fromEntries(leaves(now, key)), Object.fromEntries(leaves(before, key))]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .map((own) => ({ key: own, cell: cell(a[own], b[own]) }))
    .filter((line) => line.cell.text !== '' || line.cell.was !== '')
}

/** Those of a list first, in its order; the others after them as they came. */
function inOrder(keys: string[], order: string[]): string[] {
  return [...order.filter((key) => keys.includes(key)), ...keys.filter((key) => !order.includes(key))]
}

const isCharging = (key: string) =>
  key !== 'charge_rule.factory_charge' && CHARGED_BY.includes(key.split('.')[0] ?? '')

function chargingOf(body: Json, other: Json): Part[] {
  const of = (from: Json, name: unknown) => {
    const circuit = list(from.circuits).find((one) => one.name === name) ?? {}
    return Object.fromEntries(leaves(circuit, '').filter(([key]) => isCharging(key)))
  }
  const names = [...new Set([...list(body.circuits), ...list(other.circuits)].map((one) => one.name))]
  return names.flatMap((name): Part[] => {
    const found = lines(of(body, name), of(other, name), '')
    return found.length > 0 ? [{ kind: 'lines', key: `charging.${String(name)}`, lines: found }] : []
  })
}

function tableOf(body: Json, other: Json, path: string): Part | null {
  const [now, before] = [list(at(body, path)), list(at(other, path))]
  if (now.length === 0 && before.length === 0) return null
  const names = [...new Set([...now, ...before].map((row) => String(row.name)))]
  const flat = (row: Json | undefined) =>
    Object.fromEntries(leaves(row ?? {}, '').filter(([key]) => key !== 'name' && !isCharging(key)))
  const columns = inOrder([...new Set([...now, ...before].flatMap((row) => Object.keys(flat(row))))], COLUMNS)
  return {
    kind: 'table',
    key: path.split('.').at(-1) ?? path,
    columns,
    rows: names.map((name) => {
      const [a, b] = [
        flat(now.find((row) => row.name === name)),
        flat(before.find((row) => row.name === name)),
      ]
      return { name, cells: columns.map((column) => cell(a[column], b[column])) }
    }),
  }
}

/** @param other the version beside it; the same one shows nothing as changed */
export function partsOf(body: Json, other: Json): Part[] {
  const electrical = (from: Json, isPlate: boolean) =>
    Object.fromEntries(
      Object.entries(isObject(from.electrical) ? from.electrical : {}).filter(
        ([key]) => !APART.includes(key) && PLATE.includes(key) === isPlate,
      ),
    )
  const about = (from: Json) => ({
    ...Object.fromEntries(ABOUT.map((key) => [key, from[key]])),
    ...electrical(from, true),
  })
  const plate = lines(about(body), about(other), '')
  const order = [...ABOUT, ...PLATE]
  plate.sort((a, b) => order.indexOf(a.key) - order.indexOf(b.key))
  const more = lines(electrical(body, false), electrical(other, false), '')
  const tables = TABLES.flatMap((path) => tableOf(body, other, path) ?? [])
  const heads = [...new Set([...Object.keys(body), ...Object.keys(other)])].filter(
    (key) => ![...ABOUT, 'electrical', 'circuits'].includes(key),
  )
  const rest = [...REST, ...heads.filter((key) => !REST.includes(key) && UNDER[key] === undefined)].flatMap(
    (head): Part[] => {
      const own = heads.filter((key) => key === head || UNDER[key] === head)
      const found = own.flatMap((key) => lines(body[key], other[key], own.length > 1 ? key : ''))
      return found.length > 0 ? [{ kind: 'lines', key: head, lines: found }] : []
    },
  )
  const supply: Part[] = more.length > 0 ? [{ kind: 'lines', key: 'electrical', lines: more }] : []
  return [{ kind: 'plate', lines: plate }, ...tables, ...chargingOf(body, other), ...supply, ...rest]
}

/** A place as it is read: "gas manifold natural". */
export const named = (key: string): string => key.replace(/[._]/g, ' ')

export const changes = (parts: Part[]): number =>
  parts.reduce(
    (sum, part) =>
      sum +
      (part.kind === 'table'
        ? part.rows.flatMap((row) => row.cells)
        : part.lines.map((line) => line.cell)
      ).filter((one) => one.differs).length,
    0,
  )
