/** A figure as a drawing writes it. */
export function short(value: number, decimals = 1): string {
  return String(Number(value.toFixed(decimals)))
}

/**
 * Where the axis of three legs runs: a little under what is allowed to a little over it. What was read far outside
 * does not flatten it: its bar reaches the edge and is drawn broken.
 */
export function axisOf(
  low: number | null,
  high: number | null,
  read: number[],
): { bottom: number; top: number } {
  if (low !== null && high !== null && high > low) {
    const span = high - low
    const near = read.filter((v) => v > low - span && v < high + span)
    return {
      bottom: Math.min(low - span * 0.35, ...near.map((v) => v - span * 0.15)),
      top: Math.max(high + span * 0.2, ...near.map((v) => v + span * 0.1)),
    }
  }
  const [least, most] = [Math.min(...read), Math.max(...read)]
  return Number.isFinite(least) && most > 0
    ? { bottom: least * 0.9, top: most * 1.05 }
    : { bottom: 0, top: 1 }
}

export interface Box {
  /** Its left upper corner, and how large it is. */
  x: number
  y: number
  width: number
  height: number
}

/** Points along a line through those there are, none further from the next than `step`. */
export function along(points: [number, number][], step = 6): [number, number][] {
  return points.flatMap(([x, y], i) => {
    const [toX, toY] = points[i + 1] ?? [x, y]
    const parts = Math.max(1, Math.ceil(Math.hypot(toX - x, toY - y) / step))
    return Array.from({ length: parts }, (_, k): [number, number] => [
      x + ((toX - x) * k) / parts,
      y + ((toY - y) * k) / parts,
    ])
  })
}

/** The first of the places with the least of what is drawn in it. */
export function freest<T extends Box>(places: [T, ...T[]], drawn: [number, number][]): T {
  const within = (box: T) =>
    drawn.filter(([x, y]) => x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height)
      .length
  return places.reduce((best, one) => (within(one) < within(best) ? one : best))
}
