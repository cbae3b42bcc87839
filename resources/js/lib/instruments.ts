import { forget, keep, kept } from './keeping'

/** Which kinds of a company's instruments, as it calls them, take a reading of a kind. */
const CALLED: Record<string, RegExp> = {
  voltmeter: /three-phase|multi|volt/i,
  rotation_meter: /rotation/i,
  clamp_meter: /clamp/i,
  ohmmeter: /multi|ohm/i,
  megohmmeter: /insulation|megohm/i,
  micron_gauge: /micron|vacuum/i,
  gauges: /gauge|manifold/i,
  pipe_clamp: /thermo|pipe|clamp/i,
  thermometer: /thermo/i,
  scale: /scale/i,
  manometer: /manometer/i,
}
const place = (kind: string) => `iron-start.instrument.${kind}`

export function fits(kind: string, called: string): boolean {
  return CALLED[kind]?.test(called) ?? false
}

/** The one used last for this kind of reading, on this device. */
export function remembered(kind: string): number | undefined {
  const id = Number(kept(place(kind)) ?? NaN)
  return Number.isInteger(id) ? id : undefined
}

export function remember(kind: string, id: number | undefined): void {
  if (id === undefined) forget(place(kind))
  else keep(place(kind), String(id))
}
