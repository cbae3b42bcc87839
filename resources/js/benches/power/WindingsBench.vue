<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import { useDraft } from '@/composables/useDraft'
import { fromWire, type Typed } from '@/lib/reading'
import { useMachine } from '@/stores/machine'
import BenchFrame from '../BenchFrame.vue'
import CompressorPick from '../common/CompressorPick.vue'
import { useAskedCompressor } from '../common/compressors'
import FigureField from '../common/FigureField.vue'
import { anyTyped, fillFrom, numberOf, short, wireFigures, type Figures } from '../common/figures'

/** Three resistances of one compressor, even and near the sheet. */
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const PAIRS = ['ohms_ab', 'ohms_bc', 'ohms_ca'] as const
type Draft = { name?: string; figures: Figures; open: Record<string, boolean | undefined>; meter?: string }
const asked = useAskedCompressor('compressor.windings')
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.windings`, () => ({
  figures: {},
  open: {},
}))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const name = computed({
  get: () => draft.value.name ?? asked.value,
  set: (next) => (draft.value.name = next),
})
const pristine = computed(
  () => !anyTyped(draft.value.figures, PAIRS) && !PAIRS.some((pair) => draft.value.open[pair]),
)
const part = computed(() => {
  const figures = wireFigures(draft.value.figures, [...PAIRS, 'at_temperature'])
  const open = Object.fromEntries(
    PAIRS.filter((pair) => draft.value.open[pair]).map((pair) => [pair, { open_circuit: true }]),
  )
  // The sheet's ohms mean something only at a known temperature.
  const plate =
    figures.at_temperature === undefined ? {} : (machine.view?.prefill['compressor.windings'] as object)
  return {
    check: 'compressor.windings',
    subject: `compressor:${name.value}`,
    input: {
      ...plate,
      ...figures,
      ...open,
      ...(draft.value.meter === undefined ? {} : { meter: draft.value.meter }),
    },
  }
})
const METER = [
  { value: 'ohmmeter', text: 'ordinary' },
  { value: 'low_ohm', text: 'four-wire' },
]
const CORNERS = { A: [150, 24], B: [262, 190], C: [38, 190] } as const
const SIDES = [
  { pair: 'ohms_ab', from: 'A', to: 'B', x: 240, y: 98 },
  { pair: 'ohms_bc', from: 'B', to: 'C', x: 150, y: 216 },
  { pair: 'ohms_ca', from: 'C', to: 'A', x: 60, y: 98 },
] as const

function side(value: unknown): string {
  if (typeof value === 'object' && value !== null && 'open_circuit' in value)
    return t('compressor.openCircuit')
  const ohms = numberOf(value)
  return ohms === null ? '' : short(ohms, 3)
}

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) =>
    put({
      name: entry.subject.split(':')[1],
      meter: entry.input.meter as string | undefined,
      figures: Object.fromEntries(
        [...PAIRS, 'at_temperature'].map((pair): [string, Typed | undefined] => [
          pair,
          fromWire(entry.input[pair]),
        ]),
      ),
      open: Object.fromEntries(
        PAIRS.map((pair) => [pair, side(entry.input[pair]) === t('compressor.openCircuit')]),
      ),
    }),
})
</script>

<template>
  <BenchFrame
    ref="frame"
    :part="part"
    :pristine="pristine"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ input }">
      <svg viewBox="0 0 300 232" class="triangle" role="img" aria-label="windings">
        <g v-for="one in SIDES" :key="one.pair">
          <line
            :x1="CORNERS[one.from][0]"
            :y1="CORNERS[one.from][1]"
            :x2="CORNERS[one.to][0]"
            :y2="CORNERS[one.to][1]"
            :class="['coil', { cut: side(input[one.pair]) === t('compressor.openCircuit') }]"
          />
          <text :x="one.x" :y="one.y" text-anchor="middle" class="fig" font-size="24">
            {{ side(input[one.pair]) }}
          </text>
        </g>
        <g v-for="(at, corner) in CORNERS" :key="corner">
          <circle :cx="at[0]" :cy="at[1]" r="13" class="terminal" />
          <text :x="at[0]" :y="at[1] + 6" text-anchor="middle" class="fig letter" font-size="17">
            {{ corner }}
          </text>
        </g>
      </svg>
    </template>
    <template #fields="{ problemOf }">
      <CompressorPick v-model="name" />
      <div v-for="pair in PAIRS" :key="pair" class="pair">
        <FigureField
          v-model="draft.figures[pair]"
          check="compressor.windings"
          :path="pair"
          :problem="problemOf(pair)"
          @several="fillFrom(draft.figures, PAIRS, pair, $event, 'ohm')"
        />
        <label class="open"
          ><input v-model="draft.open[pair]" type="checkbox" /> {{ t('compressor.openCircuit') }}</label
        >
      </div>
      <FigureField
        v-model="draft.figures.at_temperature"
        check="compressor.windings"
        path="at_temperature"
        :problem="problemOf('at_temperature')"
        optional
      />
      <ChoiceField v-model="draft.meter" :label="t('compressor.meter')" :options="METER" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.triangle {
  display: block;
  width: 100%;
  max-height: 250px;
}
.coil {
  stroke: var(--iron);
  stroke-width: 6;
}
.cut {
  stroke: var(--stop);
  stroke-dasharray: 4 12;
}
.terminal {
  fill: var(--ink);
}
svg .letter {
  fill: var(--paper);
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
}
.open {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
}
.open input {
  width: 22px;
  height: 22px;
}
</style>
