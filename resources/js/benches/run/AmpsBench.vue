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
import { anyTyped, fillFrom, short, valueOf, wireFigures, type Figures } from '../common/figures'

/** Amps of every motor, leg by leg, with the doors on. */
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
type SheetLoad = { name: string; kind: string; phases?: number; plate_amps?: string }
type Draft = { figures: Figures; doors_on?: boolean }
const loads = computed(
  () => (machine.view?.prefill['power.running_amps'] as { loads?: SheetLoad[] } | undefined)?.loads ?? [],
)
const legs = (load: SheetLoad) => (load.phases === 1 ? ['amps_a'] : ['amps_a', 'amps_b', 'amps_c'])
const key = (load: SheetLoad, leg: string) => `${load.name}.${leg}`
const NAMES = computed(() => loads.value.flatMap((load) => legs(load).map((leg) => key(load, leg))))
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.amps`, () => ({ figures: {} }))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const pristine = computed(() => !anyTyped(draft.value.figures, NAMES.value))
const part = computed(() => ({
  check: 'power.running_amps',
  subject: 'machine',
  input: compact({
    loads: loads.value.map((load) => {
      const typed = wireFigures(
        draft.value.figures,
        legs(load).map((leg) => key(load, leg)),
      )
      return {
        ...load,
        ...Object.fromEntries(
          Object.entries(typed).map(([name, value]) => [name.slice(load.name.length + 1), value]),
        ),
      }
    }),
    doors_on: draft.value.doors_on,
  }),
}))
const blocked = computed(() =>
  draft.value.doors_on === undefined ? `${checks.field('power.running_amps', 'doors_on')?.label}?` : '',
)
const YES = [
  { value: true, text: t('lockout.yes') },
  { value: false, text: t('lockout.no') },
]

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) => {
    const figures: Figures = {}
    for (const load of (entry.input.loads ?? []) as Record<string, unknown>[]) {
      for (const leg of ['amps_a', 'amps_b', 'amps_c'])
        figures[`${String(load.name)}.${leg}`] = fromWire(load[leg])
    }
    put({ figures, doors_on: entry.input.doors_on as boolean | undefined })
  },
})
</script>

<template>
  <BenchFrame
    ref="frame"
    class="amps"
    :part="part"
    :pristine="pristine"
    :blocked="blocked"
    kind="clamp"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ verdict }">
      <svg
        :viewBox="`0 0 300 ${loads.length * 44 + 6}`"
        class="bars"
        role="img"
        aria-label="share of plate amps"
      >
        <line x1="230" x2="230" y1="0" :y2="loads.length * 44" class="plate" />
        <g v-for="(load, i) in loads" :key="load.name" :transform="`translate(0 ${i * 44})`">
          <text x="0" y="14" font-size="15">{{ load.name }}</text>
          <rect
            x="0"
            y="18"
            :width="Math.min(290, (valueOf(verdict, `loads.${i}.ratio`) ?? 0) * 230)"
            height="18"
            :class="(valueOf(verdict, `loads.${i}.ratio`) ?? 0) > 1.1 ? 'over' : 'bar'"
          />
          <text
            v-if="valueOf(verdict, `loads.${i}.ratio`) !== null"
            x="296"
            y="14"
            text-anchor="end"
            class="fig"
            font-size="18"
          >
            {{ short((valueOf(verdict, `loads.${i}.ratio`) ?? 0) * 100, 0) }} %
          </text>
        </g>
      </svg>
    </template>
    <template #fields="{ problemOf }">
      <ChoiceField
        v-model="draft.doors_on"
        :label="checks.field('power.running_amps', 'doors_on')?.label ?? ''"
        :options="YES"
      />
      <div v-for="(load, i) in loads" :key="load.name" class="load">
        <p>
          {{ load.name }}<small>{{ load.plate_amps }}</small>
        </p>
        <FigureField
          v-for="leg in legs(load)"
          :key="leg"
          v-model="draft.figures[key(load, leg)]"
          check="power.running_amps"
          :path="`loads.${i}.${leg}`"
          compact
          :label="legs(load).length === 1 ? t('rotation.amps') : leg.slice(-1).toUpperCase()"
          :problem="problemOf(`loads.${i}.${leg}`)"
          @several="fillFrom(draft.figures, NAMES, key(load, leg), $event, 'A')"
        />
      </div>
    </template>
  </BenchFrame>
</template>

<style scoped>
.amps :deep(.body) {
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
}
.bars {
  display: block;
  width: 100%;
}
.plate {
  stroke: var(--ink);
  stroke-dasharray: 4 4;
}
.bar {
  fill: var(--iron);
}
.over {
  fill: var(--stop);
}
.load {
  display: grid;
  grid-template-columns: 72px repeat(3, minmax(0, 1fr));
  align-items: end;
  gap: 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.load p {
  align-self: center;
  font: 600 20px/1.1 var(--figures);
}
.load small {
  display: block;
  font: 400 14px/1.2 var(--text);
  color: var(--iron-soft);
}
</style>
