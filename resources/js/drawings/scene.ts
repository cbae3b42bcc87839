import type { Drawing } from '@/api/client'

export type Scene = Extract<Drawing, { shape: 'scene' }>
export type Point = [number, number]

/** How long a unit is, in metres. */
const METRES: Record<string, number> = { m: 1, ft: 0.3048, in: 0.0254, mm: 0.001, cm: 0.01 }
/** What a drag goes by: a quarter inch, half a foot, and what stands for them. */
const STEPS: Record<string, number> = { m: 0.1, ft: 0.5, in: 0.25, mm: 5, cm: 0.5 }

export const metresOf = (value: number, unit: string): number => value * (METRES[unit] ?? 1)

/** A length as it is typed, in steps a hand can set. */
export function inUnit(metres: number, unit: string): string {
  const step = STEPS[unit] ?? 1
  const count = Math.round(metres / (METRES[unit] ?? 1) / step)
  return String(Number((count * step).toFixed(3)))
}

/** How far one press of an arrow key goes, in metres. */
export const stepOf = (unit: string): number => metresOf(STEPS[unit] ?? 1, unit)

/** The unit a drawing's lengths are told in. */
export function unitOf(isSmall: boolean, units: 'us' | 'si'): string {
  if (units === 'si') return isSmall ? 'mm' : 'm'
  return isSmall ? 'in' : 'ft'
}

/** A path without the places of its items: `steps.0.width` is the field `steps.width`. */
export const withoutPlaces = (path: string): string => path.replace(/\.\d+(?=\.|$)/g, '')

/** All that is to be seen, in metres: bodies, and dimension lines where they stand off. */
export function boundsOf(scene: Scene): { left: number; right: number; bottom: number; top: number } {
  const points: Point[] = [
    ...scene.bodies.flatMap((body) => body.points),
    ...scene.dims.flatMap((dim) => {
      const [dx, dy] = offsetOf(dim)
      return [dim.from, dim.to].map(([x, y]): Point => [x + dx, y + dy])
    }),
  ]
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])]
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }
}

/** How far a dimension line stands off what it measures: to the left of the way from one end to the other. */
export function offsetOf(dim: Scene['dims'][number]): Point {
  const [dx, dy] = [dim.to[0] - dim.from[0], dim.to[1] - dim.from[1]]
  const length = Math.hypot(dx, dy)
  return length === 0 ? [0, 0] : [(-dy / length) * dim.away, (dx / length) * dim.away]
}
