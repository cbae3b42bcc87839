/** "460.0 V" and "460 V" are the same figure. */
function plain(figure: string): string {
  const [number = '', ...unit] = figure.split(' ')
  return number.trim() !== '' && Number.isFinite(Number(number))
    ? `${Number(number)} ${unit.join(' ')}`
    : figure
}

function text(value: unknown): string {
  if (typeof value === 'object' && value !== null && 'value' in value && 'unit' in value)
    return `${String(value.value)} ${String(value.unit)}`
  return typeof value === 'string' || typeof value === 'number' ? String(value).trim() : ''
}

/** Where what is typed is another figure than the sheet has; what is left out is not. */
export function typedOver(
  plate: Record<string, string> | undefined,
  input: Record<string, unknown>,
): { field: string; sheet: string; typed: string }[] {
  return Object.entries(plate ?? {}).flatMap(([path, sheet]) => {
    const [, load] = /^loads\.(.+)\.plate_amps$/.exec(path) ?? []
    const loads = Array.isArray(input.loads) ? (input.loads as Record<string, unknown>[]) : []
    const typed = text(load === undefined ? input[path] : loads.find((one) => one.name === load)?.plate_amps)
    return typed === '' || plain(typed) === plain(sheet) ? [] : [{ field: load ?? path, sheet, typed }]
  })
}
