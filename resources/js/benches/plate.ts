/** "460.0 V" and "460 V" are the same figure. */
function plain(figure: string): string {
  const [number = '', ...unit] = figure.split(' ')
  return number.trim() !== '' && Number.isFinite(Number(number))
    ? `${Number(number)} ${unit.join(' ')}`
    : figure
}

/** The voltages and the frequency a plate names: `460V-3Ph-60Hz` and `460/3/60` are the same plate. */
function named(figure: string): { volts: string; hertz: string } | undefined {
  const [, volts = '', hertz = ''] =
    /^(\d{3,4}(?:\s*[-/]\s*\d{3,4})*)\s*(?:V(?:AC|OLTS?)?)?(?:[\s,/-]+[13]\s*(?:PH(?:ASE)?|~|\/)?)?(?:[\s,/-]*(50|60)\s*(?:HZ|CYCLE)?)?\.?$/.exec(
      figure.trim().toUpperCase(),
    ) ?? []
  return volts === '' ? undefined : { volts: volts.replace(/\s/g, '').replace(/\//g, '-'), hertz }
}

function isSame(one: string, other: string): boolean {
  const [a, b] = [named(one), named(other)]
  const isPlate = a !== undefined && b !== undefined && a.volts === b.volts
  return plain(one) === plain(other) || (isPlate && (a.hertz === '' || b.hertz === '' || a.hertz === b.hertz))
}

function text(value: unknown): string {
  if (typeof value === 'object' && value !== null && 'value' in value && 'unit' in value)
    return `${String(value.value)} ${String(value.unit)}`
  return ['string', 'number', 'boolean'].includes(typeof value) ? String(value).trim() : ''
}

/** Where what is typed is another figure than the sheet has; what is left out is not. */
export function typedOver(
  plate: Record<string, string> | undefined,
  input: Record<string, unknown>,
): { field: string; sheet: string; typed: string }[] {
  return Object.entries(plate ?? {}).flatMap(([path, sheet]) => {
    const [, list, name, member] = /^([a-z_]+)\.(.+)\.([a-z_]+)$/.exec(path) ?? []
    const items = list === undefined ? undefined : input[list]
    const item = (Array.isArray(items) ? (items as Record<string, unknown>[]) : []).find(
      (one) => one.name === name,
    )
    const typed = text(member === undefined ? input[path] : item?.[member])
    return typed === '' || isSame(typed, sheet) ? [] : [{ field: name ?? path, sheet, typed }]
  })
}
