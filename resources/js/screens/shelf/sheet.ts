import { shownUnit } from '@/lib/reading'

/** A sheet as it is typed: the plate in boxes, all the rest as it came. */
export type Motor = {
  name: string
  kind: string
  drive: string
  amps: string
  locked_rotor_amps: string
  quantity: string
}
export type TypedSheet = {
  model: string
  maker: string
  kind: string
  plate_voltage: string
  mca: string
  mocp: string
  terminal_rating: string
  taps: string
  secondary_nominal: string
  motors: Motor[]
  circuits: { name: string; refrigerant: string; metering: string; compressors: string; charge: string }[]
  registration_days: string
}
type Json = Record<string, unknown>

const text = (value: unknown): string => {
  if (typeof value === 'object' && value !== null && 'value' in value && 'unit' in value)
    return `${String(value.value)} ${String(value.unit)}`
  return value === undefined || value === null ? '' : String(value)
}
const object = (value: unknown): Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Json) : {}
const list = (value: unknown): Json[] => (Array.isArray(value) ? value.map(object) : [])

/** "9.7" is amps where amps are asked; a unit that was typed along stays. */
const quantity = (typed: string, unit: string): string | undefined => {
  const plain = typed.trim().replace(/\s+/g, ' ')
  if (plain === '') return undefined
  return /^[\d.]+$/.test(plain) ? `${plain} ${unit}` : plain
}
const words = (typed: string): string[] =>
  typed
    .split(/[,;]/)
    .map((word) => word.trim())
    .filter((word) => word !== '')

/** Leaves out what is not there. */
function given(members: Json): Json {
  return Object.fromEntries(Object.entries(members).filter(([, v]) => v !== undefined && v !== ''))
}

export function freshMotor(): Motor {
  return { name: '', kind: 'scroll', drive: 'across_line', amps: '', locked_rotor_amps: '', quantity: '' }
}

export function typedOf(body: Json): TypedSheet {
  const electrical = object(body.electrical)
  const transformer = object(electrical.transformer)
  return {
    model: text(body.model),
    maker: text(body.maker),
    kind: text(body.kind) || 'rooftop',
    plate_voltage: text(electrical.plate_voltage),
    mca: text(electrical.mca),
    mocp: text(electrical.mocp),
    terminal_rating: text(electrical.terminal_rating),
    taps: Array.isArray(transformer.taps) ? transformer.taps.map(text).join(', ') : '',
    secondary_nominal: text(transformer.secondary_nominal),
    motors: list(electrical.motors).map((m) => ({
      name: text(m.name),
      kind: text(m.kind),
      drive: text(m.drive),
      amps: text(m.amps),
      locked_rotor_amps: text(m.locked_rotor_amps),
      quantity: text(m.quantity),
    })),
    circuits: list(body.circuits).map((c) => ({
      name: text(c.name),
      refrigerant: text(c.refrigerant),
      metering: text(c.metering),
      compressors: Array.isArray(c.compressors) ? c.compressors.map(String).join(', ') : '',
      charge: text(object(c.charge_rule).factory_charge),
    })),
    registration_days: text(object(body.warranty).registration_days),
  }
}

/** The sheet with what was typed; members that have no box stay as they are. */
export function bodyOf(typed: TypedSheet, before: Json): Json {
  const electrical = object(before.electrical)
  const taps = words(typed.taps).map((tap) => quantity(tap, 'V'))
  const transformer = given({
    ...object(electrical.transformer),
    taps: taps.length > 0 ? taps : undefined,
    secondary_nominal: quantity(typed.secondary_nominal, 'V'),
  })
  const motors = typed.motors
    .filter((m) => m.name.trim() !== '')
    .map((m) =>
      given({
        ...(list(electrical.motors).find((old) => old.name === m.name) ?? {}),
        name: m.name.trim(),
        kind: m.kind,
        drive: m.drive,
        amps: quantity(m.amps, 'A'),
        locked_rotor_amps: quantity(m.locked_rotor_amps, 'A'),
        quantity: m.quantity.trim() === '' ? undefined : Number(m.quantity),
      }),
    )
  const circuits = typed.circuits
    .filter((c) => c.name.trim() !== '')
    .map((c) => {
      const old = list(before.circuits).find((one) => one.name === c.name) ?? {}
      const charge = quantity(c.charge, 'lb')
      return given({
        ...old,
        name: c.name.trim(),
        refrigerant: c.refrigerant.trim(),
        metering: c.metering,
        compressors: words(c.compressors),
        charge_rule:
          charge === undefined ? old.charge_rule : { ...object(old.charge_rule), factory_charge: charge },
      })
    })
  return given({
    ...before,
    model: typed.model.trim(),
    maker: typed.maker.trim(),
    kind: typed.kind,
    electrical: given({
      ...electrical,
      plate_voltage: typed.plate_voltage.trim(),
      mca: quantity(typed.mca, 'A'),
      mocp: quantity(typed.mocp, 'A'),
      terminal_rating: typed.terminal_rating.trim() === '' ? undefined : Number(typed.terminal_rating),
      transformer: Object.keys(transformer).length > 0 ? transformer : undefined,
      motors: motors.length > 0 ? motors : undefined,
    }),
    circuits: circuits.length > 0 ? circuits : undefined,
    warranty:
      typed.registration_days.trim() === ''
        ? before.warranty
        : { ...object(before.warranty), registration_days: Number(typed.registration_days) },
  })
}

const WORDS: Record<string, string> = {
  across_line: 'across the line',
  soft_starter: 'soft starter',
  part_winding: 'part winding',
  inverter: 'VFD / inverter',
  ecm: 'ECM',
  single_phase: 'single-phase',
  reciprocating: 'recip',
  txv: 'TXV',
  eev: 'EEV',
  fixed: 'fixed orifice',
  vrf_outdoor: 'VRF outdoor unit',
  vrf_indoor: 'VRF indoor unit',
  rooftop: 'rooftop unit',
  condensing: 'condensing unit',
}

/** A word of a sheet as people say it. */
export const spoken = (word: string): string => WORDS[word] ?? word.replace(/_/g, ' ')

/** A figure as it is read: "10 °F", "across line". */
export function readable(figure: string): string {
  const [number = '', unit, ...more] = figure.split(' ')
  if (unit !== undefined && more.length === 0 && Number.isFinite(Number(number)))
    return `${number} ${shownUnit(unit)}`
  return spoken(figure)
}
