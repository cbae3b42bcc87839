import { BENCHES, GATES, GUESTS } from '@/benches/gates'
import type { BenchSpec } from '@/benches/spec'

/** The options are weighed on a page of their own. */
export const OPTIONS = 'options'

const checkOf = (spec: BenchSpec) => spec.parts[0]?.check ?? ''
const isOfMachine = (spec: BenchSpec) => spec.parts[0]?.subject === 'machine'

/** As few benches as hold every check, those about the machine first: the old disconnect's are for a job. */
const chosen = ((): Set<string> => {
  const own = BENCHES.filter((spec) => !GUESTS.includes(spec.id))
  const seen = new Set<string>()
  const ids = new Set<string>()
  for (const spec of [...own.filter(isOfMachine), ...own.filter((one) => !isOfMachine(one))]) {
    if (spec.parts.every((part) => seen.has(part.check))) continue
    ids.add(spec.id)
    for (const part of spec.parts) seen.add(part.check)
  }
  return ids
})()

/** What the Pocket holds under each question: a bench for each check; nothing that only writes down. */
export function held(): { gate: number; benches: { id: string; check: string; spec?: BenchSpec }[] }[] {
  return Object.entries(GATES)
    .map(([gate, tabs]) => ({
      gate: Number(gate),
      benches: tabs.flatMap(({ id, spec }) => {
        if (id === OPTIONS) return [{ id, check: 'survey.options' }]
        if (spec === undefined || checkOf(spec).startsWith('entry.') || !chosen.has(id)) return []
        return [{ id, check: checkOf(spec), spec }]
      }),
    }))
    .filter((one) => one.benches.length > 0)
}

export const benchOf = (id: string): BenchSpec | undefined =>
  held()
    .flatMap((one) => one.benches)
    .find((one) => one.id === id)?.spec
