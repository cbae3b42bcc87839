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

/** The three legs again with the machine running, against what they were before. */
const emit = defineEmits<{ recorded: [status: string] }>()
const machine = useMachine()
const LINES = ['volts_ab', 'volts_bc', 'volts_ca'] as const
const { draft, clear, put } = useDraft<Figures>(`${machine.view?.id}.loaded`, () => ({}))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const pristine = computed(() => !anyTyped(draft.value, LINES))
const before = computed(
  () =>
    (machine.view?.prefill['power.control_voltage'] as { supply_average?: string } | undefined)
      ?.supply_average,
)
const part = computed(() => ({
  check: 'power.voltage',
  subject: 'loaded',
  input: {
    ...(machine.view?.prefill['power.voltage'] as object),
    ...wireFigures(draft.value, LINES),
    loaded: true,
    ...(before.value === undefined ? {} : { no_load_average: before.value }),
  },
}))

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) =>
    put(Object.fromEntries(LINES.map((name) => [name, fromWire(entry.input[name])]))),
})
</script>

<template>
  <BenchFrame
    ref="frame"
    :part="part"
    :pristine="pristine"
    kind="meter"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ verdict, input }"><LegBars :verdict="verdict" :input="input" /></template>
    <template #fields="{ problemOf }">
      <FigureField
        v-for="name in LINES"
        :key="name"
        v-model="draft[name]"
        check="power.voltage"
        :path="name"
        :problem="problemOf(name)"
        @several="fillFrom(draft, LINES, name, $event, 'V')"
      />
    </template>
  </BenchFrame>
</template>
