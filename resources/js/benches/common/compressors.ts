import { computed } from 'vue'
import { useMachine } from '@/stores/machine'

/** The compressor a check is still asked for, else the first there is. */
export function useAskedCompressor(check: string) {
  const machine = useMachine()
  return computed(() => {
    const asked = machine.view?.gates.flatMap((gate) => gate.missing).find((m) => m.check === check)?.subject
    if (asked?.startsWith('compressor:')) return asked.slice('compressor:'.length)
    const loads =
      (machine.view?.prefill['power.rotation'] as { loads?: { name: string; kind: string }[] } | undefined)
        ?.loads ?? []
    return loads.find((load) => ['scroll', 'screw', 'reciprocating'].includes(load.kind))?.name ?? 'A'
  })
}
