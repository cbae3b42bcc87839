<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import { useDraft } from '@/composables/useDraft'
import { compact, fromWire } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import BenchFrame from '../BenchFrame.vue'
import BandScale from '../common/BandScale.vue'
import CompressorPick from '../common/CompressorPick.vue'
import { useAskedCompressor } from '../common/compressors'
import FigureField from '../common/FigureField.vue'
import { anyTyped, valueOf, wireFigures, type Figures } from '../common/figures'

/** One compressor to ground. */
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
type Draft = {
  name?: string
  figures: Figures
  instrument?: string
  system_state?: string
  drive_connected?: boolean
}
const FIGURES = ['megohms', 'previous_megohms'] as const
const asked = useAskedCompressor('compressor.insulation')
const mega = () => ({ megohms: { text: '', unit: 'Mohm' }, previous_megohms: { text: '', unit: 'Mohm' } })
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.insulation`, () => ({ figures: mega() }))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const name = computed({
  get: () => draft.value.name ?? asked.value,
  set: (next) => (draft.value.name = next),
})
const pristine = computed(
  () =>
    !anyTyped(draft.value.figures, FIGURES) &&
    draft.value.instrument === undefined &&
    draft.value.system_state === undefined,
)
const part = computed(() => ({
  check: 'compressor.insulation',
  subject: `compressor:${name.value}`,
  input: {
    ...compact({
      instrument: draft.value.instrument,
      system_state: draft.value.system_state,
      drive_connected: draft.value.drive_connected,
    }),
    ...wireFigures(draft.value.figures, FIGURES),
  },
}))
const label = (field: string) => checks.field('compressor.insulation', field)?.label ?? ''
const INSTRUMENT = (['megohmmeter_500', 'megohmmeter_1000', 'multimeter'] as const).map((value) => ({
  value,
  text: t(`compressor.${value}`),
}))
const STATE = (['pressurised', 'vacuum', 'open'] as const).map((value) => ({
  value,
  text: t(`compressor.${value}`),
}))
const BANDS = [
  { to: 0.5, cls: 'stop' },
  { to: 20, cls: 'watch' },
  { to: 1000, cls: 'clear' },
]

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) => {
    const { instrument, system_state, drive_connected } = entry.input as Draft
    put({
      name: entry.subject.split(':')[1],
      instrument,
      system_state,
      drive_connected,
      figures: {
        ...mega(),
        ...Object.fromEntries(FIGURES.map((f) => [f, fromWire(entry.input[f]) ?? mega()[f]])),
      },
    })
  },
})
</script>

<template>
  <BenchFrame
    ref="frame"
    :part="part"
    :pristine="pristine"
    kind="insulation"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ verdict }">
      <BandScale
        :from="0.1"
        :to="1000"
        decades
        :bands="BANDS"
        :value="valueOf(verdict, 'megohms')"
        unit="megohm"
        :ticks="[0.5, 2, 20, 100]"
      />
    </template>
    <template #fields="{ problemOf }">
      <CompressorPick v-model="name" />
      <ChoiceField
        v-model="draft.instrument"
        :label="label('instrument')"
        :options="INSTRUMENT"
        :problem="problemOf('instrument')"
        stacked
      />
      <ChoiceField
        v-model="draft.system_state"
        :label="label('system_state')"
        :options="STATE"
        :problem="problemOf('system_state')"
        stacked
      />
      <FigureField
        v-model="draft.figures.megohms"
        check="compressor.insulation"
        path="megohms"
        :problem="problemOf('megohms')"
      />
      <FigureField
        v-model="draft.figures.previous_megohms"
        check="compressor.insulation"
        path="previous_megohms"
        :problem="problemOf('previous_megohms')"
        optional
      />
    </template>
  </BenchFrame>
</template>
