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
    return typed === '' || plain(typed) === plain(sheet) ? [] : [{ field: name ?? path, sheet, typed }]
  })
}
