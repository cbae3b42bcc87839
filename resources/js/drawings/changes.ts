type Item = Record<string, unknown>
export type Change = { what: string; is: 'added' | 'gone' | 'other'; planned: string; built: string }

const items = (input: unknown, list: string): Item[] => {
  const all = typeof input === 'object' && input !== null ? (input as Item)[list] : undefined
  return Array.isArray(all) ? (all as Item[]) : []
}
const said = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'value' in value && 'unit' in value
    ? `${String(value.value)} ${String(value.unit)}`
    : Array.isArray(value)
      ? value.join(', ')
      : String(value ?? '')
/** What of a pipe and of a unit is compared, in the order it is told. */
const PIPE = ['actual', 'rise', 'liquid_od', 'gas_od', 'ports']
const NODE = ['capacity', 'ports', 'capped', 'room']

function pairs(before: Item[], after: Item[], name: (item: Item) => string, members: string[]): Change[] {
  const planned = new Map(before.map((item) => [name(item), item]))
  const built = new Map(after.map((item) => [name(item), item]))
  return [
    ...[...built].flatMap(([what, item]): Change[] => {
      const old = planned.get(what)
      if (old === undefined) return [{ what, is: 'added', planned: '', built: said(item[members[0] ?? '']) }]
      return members
        .filter((member) => said(old[member]) !== said(item[member]))
        .map((member) => ({ what, is: 'other', planned: said(old[member]), built: said(item[member]) }))
    }),
    ...[...planned.keys()]
      .filter((what) => !built.has(what))
      .map((what): Change => ({ what, is: 'gone', planned: '', built: '' })),
  ]
}

/** What was built otherwise than planned, as it was written: units first, then pipe by pipe. */
export const changesOf = (planned: unknown, built: unknown): Change[] => [
  ...pairs(items(planned, 'nodes'), items(built, 'nodes'), (item) => said(item['id']), NODE),
  ...pairs(
    items(planned, 'pipes'),
    items(built, 'pipes'),
    (item) => `${said(item['from'])} › ${said(item['to'])}`,
    PIPE,
  ),
]
