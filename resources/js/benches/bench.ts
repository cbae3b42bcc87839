import { computed, inject, provide, type ComputedRef, type InjectionKey, type Ref } from 'vue'
import type { CheckView, FieldView } from '@/api/client'
import { type Draft, isTyped, keysOf, sentAt, listsOf } from './entered'
import type { BenchSpec, Context, Item } from './spec'

/** What the rows of a bench share. */
export type Bench = {
  spec: BenchSpec
  /** What it is about, such as `circuit:A`. */
  subject?: ComputedRef<string>
  checks: ComputedRef<CheckView[]>
  draft: Ref<Draft>
  context: ComputedRef<Context>
  prefill: ComputedRef<Record<string, unknown>>
  /** The server's word about a control, by its place in the draft. */
  problemAt: (at: string) => string
  field: (path: string) => FieldView | undefined
  /** What the live verdict still misses, by field. */
  missing: ComputedRef<Set<string>>
}
const BENCH: InjectionKey<Bench> = Symbol('the bench a row stands on')

export function provideBench(bench: Bench): void {
  provide(BENCH, bench)
}

export function useBench(): Bench {
  const bench = inject(BENCH)
  if (bench === undefined) throw new Error('a row stands on a bench')
  return bench
}

/** A field of any of the checks, members as `loads.amps`. */
export function fieldOf(checks: CheckView[], path: string): FieldView | undefined {
  for (const check of checks) {
    let fields: FieldView[] = check.fields
    let found: FieldView | undefined
    for (const part of path.split('.')) {
      found = fields.find((f) => f.name === part)
      fields = found?.fields ?? []
    }
    if (found !== undefined) return found
  }
  return undefined
}

/** The figures of the sheet that are known: they fold to a sentence until one differs on the machine. */
export function fromSheet(bench: Bench): ComputedRef<FieldView[]> {
  return computed(() =>
    bench.checks.value
      .flatMap((check) => check.fields)
      .filter(
        (field, i, all) =>
          field.sheet &&
          !['items', 'group'].includes(field.type) &&
          bench.prefill.value[field.name] !== undefined &&
          all.findIndex((f) => f.name === field.name) === i,
      ),
  )
}

/** What the server complains of, put back to the control it was typed in. */
export function placeOf(
  check: CheckView,
  path: string,
  prefill: Record<string, unknown>,
  draft: Draft,
): string {
  const [, list = '', index = '', rest = ''] = /^([a-z_.]+?)\.(\d+)(\..*)?$/.exec(path) ?? []
  const field = listsOf(check).find((one) => one.path === list)?.field
  if (field === undefined) return path
  const key = keysOf(check, field, prefill, draft, list).find(
    (one) => sentAt(check, field, prefill, one, draft, list) === Number(index),
  )
  return key === undefined ? path : `${list}.${key}${rest}`
}

/** The items of a check's lists as they stand, those within its objects too: known figures and what was typed over them. */
export function itemsOf(input: Record<string, unknown>, prefix = ''): Record<string, Item[]> {
  return Object.fromEntries(
    Object.entries(input).flatMap(([name, value]): [string, Item[]][] => {
      if (Array.isArray(value))
        return value.every((i) => typeof i === 'object') ? [[prefix + name, value as Item[]]] : []
      return typeof value === 'object' && value !== null && prefix === ''
        ? Object.entries(itemsOf(value as Record<string, unknown>, `${name}.`))
        : []
    }),
  )
}

export const anyTyped = (draft: Draft, names: string[]): boolean =>
  names.some((name) => isTyped(draft.values[name]))
