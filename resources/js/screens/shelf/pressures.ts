/** Rows of a pressure table: temperature, pressure at the bubble point, at the dew point. */
export type Rows = number[][]

/** Where a typed figure lies on a line of the table, to be marked on the drawing; null outside it. */
export function onLine(
  rows: Rows,
  line: 1 | 2,
  typed: { temperature?: number; pressure?: number },
): [number, number] | null {
  const [given, from, to] =
    typed.pressure !== undefined ? [typed.pressure, line, 0] : [typed.temperature ?? NaN, 0, line]
  if (!Number.isFinite(given)) return null
  for (let i = 1; i < rows.length; i++) {
    const [before, after] = [rows[i - 1] ?? [], rows[i] ?? []]
    const [a, b] = [before[from] ?? NaN, after[from] ?? NaN]
    if (given < Math.min(a, b) || given > Math.max(a, b)) continue
    const share = b === a ? 0 : (given - a) / (b - a)
    const found = (before[to] ?? 0) + share * ((after[to] ?? 0) - (before[to] ?? 0))
    return from === 0 ? [given, found] : [found, given]
  }
  return null
}

/** Whether dew and bubble are one line. */
export const isSingle = (rows: Rows): boolean => rows.every((row) => row[1] === row[2])

/** As many decimals as the finest figure of the table has, so that all stand under each other. */
export function decimals(rows: Rows): number {
  return Math.max(
    0,
    ...rows.flatMap((row) => row.slice(1).map((one) => String(one).split('.')[1]?.length ?? 0)),
  )
}

/** A figure typed in a box; undefined where there is none. */
export function figure(text: string): number | undefined {
  const plain = text.trim().replace(',', '.')
  return plain === '' || !Number.isFinite(Number(plain)) ? undefined : Number(plain)
}
