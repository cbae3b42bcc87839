import { inject, type ComputedRef, type InjectionKey } from 'vue'
import type { TapeEntry } from '@/api/client'

/** How a bench component is asked to record, or is given an entry to correct. */
export type BenchHandle = {
  record: () => void
  correct: (entry: TapeEntry) => void
  /** An input for each of its checks, as if it had been typed. */
  take?: (inputs: Record<string, unknown>[]) => void
  isPristine?: () => boolean
}

export const CORRECTING: InjectionKey<ComputedRef<TapeEntry | null>> = Symbol('the entry that is corrected')

/** Goes to the bench of a check, whatever question it stands at. */
export const GOING: InjectionKey<(check: string) => void> = Symbol('the way to another bench')

export function useCorrecting(): ComputedRef<TapeEntry | null> | undefined {
  return inject(CORRECTING, undefined)
}
