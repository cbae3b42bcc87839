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
