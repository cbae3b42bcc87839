import type { Verdict } from '@/api/client'

/** What a sketch is given: the verdict as far as there is one, and what was typed or recorded. */
export type SketchProps = {
  verdict: Pick<Verdict, 'values' | 'drawing' | 'status'> | null
  input: Record<string, unknown>
}

export function listOf(verdict: SketchProps['verdict'], name: string): string[] {
  const value = verdict?.values[name]?.value
  return Array.isArray(value) ? value.map(String) : []
}
