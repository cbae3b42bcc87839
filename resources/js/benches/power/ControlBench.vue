<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TapeEntry } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import { useDraft } from '@/composables/useDraft'
import { compact, fromWire } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import BenchFrame from '../BenchFrame.vue'
import BandScale from '../common/BandScale.vue'
import FigureField from '../common/FigureField.vue'
import { anyTyped, valueOf, wireFigures, type Figures } from '../common/figures'

/** The control transformer: which tap, and what its secondary gives. */
const emit = defineEmits<{ recorded: [status: string] }>()
const machine = useMachine()
const checks = useChecks()
type Draft = { figures: Figures; tap?: string }
const FIGURES = ['supply_average', 'secondary_measured'] as const
const sheet = computed(
  () =>
    (machine.view?.prefill['power.control_voltage'] ?? {}) as {
      taps?: string[]
      supply_average?: string
      secondary_nominal?: string
    },
)
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.control`, () => ({
  figures: { supply_average: fromWire(sheet.value.supply_average) },
}))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const pristine = computed(
  () => draft.value.tap === undefined && !anyTyped(draft.value.figures, ['secondary_measured', 'tap']),
)
const taps = computed(() => (sheet.value.taps ?? []).map((tap) => ({ value: tap, text: tap })))
const part = computed(() => ({
  check: 'power.control_voltage',
  subject: 'machine',
  input: {
    ...sheet.value,
    ...wireFigures(draft.value.figures, [...FIGURES, 'tap']),
    ...compact({
      tap: draft.value.tap ?? (wireFigures(draft.value.figures, ['tap']).tap as string | undefined),
    }),
  },
}))
const BANDS = [
  { to: 20, cls: 'stop' },
  { to: 22, cls: 'watch' },
  { to: 27, cls: 'clear' },
  { to: 28.5, cls: 'watch' },
  { to: 32, cls: 'stop' },
]

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) =>
    put({
      tap: typeof entry.input.tap === 'string' ? entry.input.tap : undefined,
      figures: Object.fromEntries(FIGURES.map((name) => [name, fromWire(entry.input[name])])),
    }),
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
    <template #drawing="{ verdict }">
      <BandScale
        :from="16"
        :to="32"
        :bands="BANDS"
        :value="valueOf(verdict, 'secondary')"
        unit="V"
        :ticks="[20, 22, 27, 28.5]"
      />
    </template>
    <template #fields="{ problemOf }">
      <FigureField
        v-model="draft.figures.supply_average"
        check="power.control_voltage"
        path="supply_average"
        :problem="problemOf('supply_average')"
      />
      <ChoiceField
        v-if="taps.length > 0"
        v-model="draft.tap"
        :label="checks.field('power.control_voltage', 'tap')?.label ?? ''"
        :help="checks.field('power.control_voltage', 'tap')?.help"
        :options="taps"
        :problem="problemOf('tap')"
      />
      <FigureField
        v-else
        v-model="draft.figures.tap"
        check="power.control_voltage"
        path="tap"
        :problem="problemOf('tap')"
      />
      <FigureField
        v-model="draft.figures.secondary_measured"
        check="power.control_voltage"
        path="secondary_measured"
        :problem="problemOf('secondary_measured')"
      />
    </template>
  </BenchFrame>
</template>
