/** What is typed on the options' page: a way to replace what is there, told as so many units alike. */
export type TypedOption = {
  name: string
  count: string
  tons: string
  phases: 1 | 3
  mca: string
  mocp: string
  weight: string
  plate: string
  equipment: string
  hours: string
  days: string
  matches: '' | 'yes' | 'no'
  extra: { what: string; cost: string; covers: string }[]
}
export type TypedOptions = {
  tons: string
  rate: string
  feeder: string
  breaker: string
  volts: string
  phases: 1 | 3
  circuits: string
  weight: string
  options: TypedOption[]
}
export const COVERS = ['feeder', 'structure', 'curb', 'gas', 'controls', 'other'] as const

export const freshOption = (): TypedOption => ({
  name: '',
  count: '1',
  tons: '',
  phases: 3,
  mca: '',
  mocp: '',
  weight: '',
  plate: '',
  equipment: '',
  hours: '',
  days: '',
  matches: '',
  extra: [],
})
export const freshOptions = (): TypedOptions => ({
  tons: '',
  rate: '',
  feeder: '',
  breaker: '',
  volts: '',
  phases: 3,
  circuits: '1',
  weight: '',
  options: [freshOption()],
})

type Input = Record<string, unknown>
const given = (input: Input): Input =>
  Object.fromEntries(Object.entries(input).filter(([, v]) => v !== undefined))
const withUnit = (text: string, unit: string) => (text.trim() === '' ? undefined : `${text.trim()} ${unit}`)
/** A bare number; what is none goes as it was typed, and is told to be none. */
const bare = (text: string) => {
  if (text.trim() === '') return undefined
  const plain = Number(text.replace(/,/g, ''))
  return Number.isFinite(plain) ? plain : text
}
const MOST_ALIKE = 12

/** The input of the check: units alike are written one by one. */
export function inputOf(typed: TypedOptions, units: 'us' | 'si'): Input {
  const [heat, mass] = units === 'us' ? ['ton', 'lb'] : ['kW', 'kg']
  return given({
    required_tons: withUnit(typed.tons, heat),
    existing: given({
      feeder_ampacity: withUnit(typed.feeder, 'A'),
      phases: typed.phases,
      feeder_breaker: withUnit(typed.breaker, 'A'),
      voltage: withUnit(typed.volts, 'V'),
      circuits: bare(typed.circuits),
      weight: withUnit(typed.weight, mass),
    }),
    options: typed.options
      .filter((option) => option.name.trim() !== '')
      .map((option) => {
        const unit = given({
          tons: withUnit(option.tons, heat),
          phases: option.phases,
          mca: withUnit(option.mca, 'A'),
          mocp: withUnit(option.mocp, 'A'),
          weight: withUnit(option.weight, mass),
          plate_voltage: option.plate.trim() || undefined,
        })
        const count = Math.min(MOST_ALIKE, Math.max(1, Math.round(Number(option.count) || 1)))
        return given({
          name: option.name.trim(),
          machines: Array.from({ length: count }, () => unit),
          equipment_cost: bare(option.equipment),
          labour_hours: bare(option.hours),
          lead_days: bare(option.days),
          extra_work: option.extra
            .filter((work) => work.what.trim() !== '')
            .map((work) => given({ what: work.what.trim(), cost: bare(work.cost), covers: work.covers })),
          matches_existing_indoor: option.matches === '' ? undefined : option.matches === 'yes',
        })
      }),
    hourly_rate: bare(typed.rate),
  })
}

const figure = (value: unknown): string => {
  if (typeof value === 'number') return String(value)
  if (typeof value === 'string') return value.split(' ')[0] ?? ''
  return typeof value === 'object' && value !== null && 'value' in value ? String(value.value) : ''
}
const list = (value: unknown): Input[] => (Array.isArray(value) ? (value as Input[]) : [])
const phasesOf = (value: unknown): 1 | 3 => (value === 1 ? 1 : 3)

/** A recorded input as it is typed. */
export function typedOf(input: Input): TypedOptions {
  const existing = (input.existing ?? {}) as Input
  return {
    tons: figure(input.required_tons),
    rate: figure(input.hourly_rate),
    feeder: figure(existing.feeder_ampacity),
    breaker: figure(existing.feeder_breaker),
    volts: figure(existing.voltage),
    phases: phasesOf(existing.phases),
    circuits: figure(existing.circuits) || '1',
    weight: figure(existing.weight),
    options: list(input.options).map((option) => {
      const machines = list(option.machines)
      const unit = machines[0] ?? {}
      const matches = option.matches_existing_indoor
      return {
        name: String(option.name ?? ''),
        count: String(machines.length),
        tons: figure(unit.tons),
        phases: phasesOf(unit.phases),
        mca: figure(unit.mca),
        mocp: figure(unit.mocp),
        weight: figure(unit.weight),
        plate: String(unit.plate_voltage ?? ''),
        equipment: figure(option.equipment_cost),
        hours: figure(option.labour_hours),
        days: figure(option.lead_days),
        matches: matches === undefined ? '' : matches === true ? 'yes' : 'no',
        extra: list(option.extra_work).map((work) => ({
          what: String(work.what ?? ''),
          cost: figure(work.cost),
          covers: String(work.covers ?? 'other'),
        })),
      }
    }),
  }
}

/** Whether two inputs say the same, whatever the order of their members. */
export function isSame(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b
  const [one, other] = [a as Input, b as Input]
  const keys = Object.keys(one)
  return keys.length === Object.keys(other).length && keys.every((key) => isSame(one[key], other[key]))
}
