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
import FigureField from '../common/FigureField.vue'
import { anyTyped, numberOf, short, valueOf, wireFigures, type Figures } from '../common/figures'

/** Wire and breaker against the plate. */
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
type Draft = {
  figures: Figures
  conductor?: string
  insulation?: number
  material?: string
  raceway_on_roof?: boolean
  conductors_in_conduit?: number
  terminal_rating?: number
}
const FIGURES = ['breaker', 'length', 'ambient', 'load_amps'] as const
const plate = computed(() => (machine.view?.prefill['power.circuit'] ?? {}) as Record<string, unknown>)
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.circuit`, () => ({ figures: {} }))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const pristine = computed(
  () =>
    !anyTyped(draft.value.figures, FIGURES) &&
    draft.value.conductor === undefined &&
    draft.value.insulation === undefined,
)
const part = computed(() => {
  const figures = wireFigures(draft.value.figures, ['mca', 'mocp', ...FIGURES])
  const own = compact({ ...draft.value, figures: undefined })
  const { line_voltage, ...rest } = plate.value
  return {
    check: 'power.circuit',
    subject: 'machine',
    input: {
      ...rest,
      ...own,
      ...figures,
      ...(figures.length === undefined || line_voltage === undefined ? {} : { line_voltage }),
    },
  }
})
const sizes = computed(() => (checks.field('power.circuit', 'conductor')?.options ?? []).map(String))
/** The sheet has the plate's figures; another plate on the machine is typed over them, with a reason. */
const otherPlate = ref(false)
const needsPlate = computed(
  () => plate.value.mca === undefined || otherPlate.value || (draft.value.figures.mca?.text ?? '') !== '',
)
const options = (...values: number[]) => values.map((value) => ({ value, text: `${value} °C` }))
const MATERIAL = [
  { value: 'cu', text: 'Cu' },
  { value: 'al', text: 'Al' },
]

/** Bars from the left, on one scale. */
function bars(input: Record<string, unknown>, usable: number | null) {
  const list = [
    { name: t('circuit.asks'), amps: numberOf(input.mca), cls: 'plate' },
    { name: t('circuit.carries'), amps: usable, cls: 'wire' },
    { name: t('circuit.breaker'), amps: numberOf(input.breaker), cls: 'breaker' },
    { name: t('circuit.allowed'), amps: numberOf(input.mocp), cls: 'plate' },
  ]
  const top = Math.max(1, ...list.map((bar) => bar.amps ?? 0)) * 1.22
  return list.map((bar) => ({ ...bar, width: ((bar.amps ?? 0) / top) * 300 }))
}

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) => {
    const figures = Object.fromEntries(
      ['mca', 'mocp', ...FIGURES].map((name) => [name, fromWire(entry.input[name])]),
    )
    const { conductor, insulation, material, raceway_on_roof, conductors_in_conduit, terminal_rating } =
      entry.input as Draft
    put({ figures, conductor, insulation, material, raceway_on_roof, conductors_in_conduit, terminal_rating })
  },
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
    <template #drawing="{ verdict, input }">
      <svg viewBox="0 0 320 212" class="bars" role="img" :aria-label="t('circuit.carries')">
        <g
          v-for="(bar, i) in bars(input, valueOf(verdict, 'usable_ampacity'))"
          :key="i"
          :transform="`translate(0 ${i * 52})`"
        >
          <text x="0" y="14" font-size="15">{{ bar.name }}</text>
          <rect x="0" y="20" :width="bar.width" height="20" :class="bar.cls" />
          <text v-if="bar.amps !== null" :x="bar.width + 6" y="37" class="fig" font-size="20">
            {{ short(bar.amps) }} A
          </text>
        </g>
      </svg>
    </template>
    <template #fields="{ problemOf }">
      <template v-if="needsPlate">
        <FigureField
          v-model="draft.figures.mca"
          check="power.circuit"
          path="mca"
          :problem="problemOf('mca')"
        />
        <FigureField
          v-model="draft.figures.mocp"
          check="power.circuit"
          path="mocp"
          :problem="problemOf('mocp')"
        />
      </template>
      <p v-else class="sheet">
        {{ t('circuit.sheet', { mca: plate.mca, mocp: plate.mocp ?? '–' }) }}
        <button type="button" @click="otherPlate = true">{{ t('circuit.otherwise') }}</button>
      </p>
      <FigureField
        v-model="draft.figures.breaker"
        check="power.circuit"
        path="breaker"
        :problem="problemOf('breaker')"
      />
      <label class="size">
        <span>{{ checks.field('power.circuit', 'conductor')?.label }}</span>
        <select v-model="draft.conductor">
          <option :value="undefined"></option>
          <option v-for="size in sizes" :key="size" :value="size">
            {{ size.includes('/') ? size : Number(size) >= 250 ? `${size} kcmil` : `#${size}` }}
          </option>
        </select>
      </label>
      <ChoiceField
        v-model="draft.insulation"
        :label="checks.field('power.circuit', 'insulation')?.label ?? ''"
        :options="options(60, 75, 90)"
        :problem="problemOf('insulation')"
      />
      <ChoiceField
        v-if="plate.terminal_rating === undefined"
        v-model="draft.terminal_rating"
        :label="checks.field('power.circuit', 'terminal_rating')?.label ?? ''"
        :options="options(60, 75)"
        :problem="problemOf('terminal_rating')"
      />
      <ChoiceField
        v-model="draft.material"
        :label="checks.field('power.circuit', 'material')?.label ?? ''"
        :options="MATERIAL"
        :problem="problemOf('material')"
      />
      <FigureField
        v-model="draft.figures.length"
        check="power.circuit"
        path="length"
        :problem="problemOf('length')"
        optional
      />
      <FigureField
        v-model="draft.figures.ambient"
        check="power.circuit"
        path="ambient"
        :problem="problemOf('ambient')"
        optional
      />
      <ChoiceField
        v-model="draft.raceway_on_roof"
        :label="checks.field('power.circuit', 'raceway_on_roof')?.label ?? ''"
        :help="checks.field('power.circuit', 'raceway_on_roof')?.help"
        :options="[
          { value: true, text: t('rotation.yes') },
          { value: false, text: t('rotation.no') },
        ]"
      />
    </template>
  </BenchFrame>
</template>

<style scoped>
.sheet {
  display: flex;
  align-items: center;
  justify-content: space-between;
  font-size: 15px;
  color: var(--iron-soft);
}
.sheet button {
  min-height: 44px;
  border: 0;
  background: none;
  color: inherit;
  text-decoration: underline;
}
.bars {
  display: block;
  width: 100%;
  max-height: 240px;
}
.plate {
  fill: var(--rule);
}
.wire {
  fill: var(--ink);
}
.breaker {
  fill: var(--iron-soft);
}
.size {
  display: grid;
  grid-template-columns: 1fr 150px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
select {
  height: 56px;
  padding: 0 8px;
  border: 2px solid var(--iron);
  background: var(--box);
  font: 600 26px/1 var(--figures);
  text-align: right;
}
</style>
