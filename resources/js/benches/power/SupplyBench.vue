<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TapeEntry } from '@/api/client'
import BenchFrame from '../BenchFrame.vue'
import FigureField from '../common/FigureField.vue'
import LegBars from '../common/LegBars.vue'
import { anyTyped, fillFrom, wireFigures, type Figures } from '../common/figures'
import { fromWire } from '@/lib/reading'
import { useDraft } from '@/composables/useDraft'
import { useMachine } from '@/stores/machine'

/** What supply it is and whether it is fit to run on: six readings, two answers. */
const emit = defineEmits<{ recorded: [status: string] }>()
const machine = useMachine()
const LINES = ['volts_ab', 'volts_bc', 'volts_ca'] as const
const GROUND = ['volts_ag', 'volts_bg', 'volts_cg'] as const
const NAMES = [...LINES, ...GROUND]
const { draft, clear, put } = useDraft<Figures>(`${machine.view?.id}.supply`, () => ({}))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const pristine = computed(() => !anyTyped(draft.value, NAMES))
const fit = computed(() => ({
  check: 'power.voltage',
  subject: 'machine',
  input: { ...(machine.view?.prefill['power.voltage'] as object), ...wireFigures(draft.value, LINES) },
}))
const identity = computed(() => ({
  check: 'power.supply_identity',
  subject: 'machine',
  input: {
    ...(machine.view?.prefill['power.supply_identity'] as object),
    ...wireFigures(draft.value, NAMES),
  },
}))

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) =>
    put(Object.fromEntries(NAMES.map((name) => [name, fromWire(entry.input[name])]))),
})
</script>

<template>
  <BenchFrame
    ref="frame"
    :part="fit"
    :second="identity"
    :pristine="pristine"
    kind="meter"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ verdict, input, secondInput }">
      <LegBars :verdict="verdict" :input="{ ...secondInput, ...input }" ground />
    </template>
    <template #fields="{ problemOf }">
      <FigureField
        v-for="name in NAMES"
        :key="name"
        v-model="draft[name]"
        :check="name.endsWith('g') ? 'power.supply_identity' : 'power.voltage'"
        :path="name"
        :problem="problemOf(name)"
        :optional="name.endsWith('g')"
        @several="fillFrom(draft, NAMES, name, $event, 'V')"
      />
    </template>
  </BenchFrame>
</template>
