<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import { useDraft } from '@/composables/useDraft'
import { useMachine } from '@/stores/machine'
import BenchFrame from '../BenchFrame.vue'
import { listOf } from '../common/figures'
import LoadRow from './LoadRow.vue'
import OneLine from './OneLine.vue'
import PhaseClock from './PhaseClock.vue'
import {
  canTell,
  isPristine,
  isRotary,
  ranBackwards,
  rotationDraft,
  rotationInput,
  type RotationDraft,
  type SheetLoad,
} from './rotation'

/** Meter, monitor and every load weighed together; at the terminals first, then at the wheel. */
const props = defineProps<{ tab: string }>()
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const loads = computed(
  () => (machine.view?.prefill['power.rotation'] as { loads?: SheetLoad[] } | undefined)?.loads ?? [],
)
const telling = computed(() => loads.value.filter((load) => canTell(load) || load.kind === 'reciprocating'))
const others = computed(() => loads.value.filter((load) => !telling.value.includes(load)))
const ran = computed(() => ranBackwards(machine.view?.tape ?? []))
const { draft, clear, put } = useDraft<RotationDraft>(`${machine.view?.id}.${props.tab}`, () => ({
  seen: Object.fromEntries(
    [...ran.value]
      .filter(([, told]) => told !== undefined)
      .map(([name, told]) => [name, { hours_backwards: told }]),
  ),
}))
const pristine = computed(() => isPristine(draft.value))
const part = computed(() => ({
  check: 'power.rotation',
  subject: 'machine',
  input: rotationInput(draft.value, loads.value),
}))
const METER = (['abc', 'cba', 'none'] as const).map((value) => ({ value, text: t(`rotation.${value}`) }))
const MONITOR = (['ok', 'reversed', 'phase_lost', 'unbalance', 'none'] as const).map((value) => ({
  value,
  text: t(`rotation.${value}`),
}))

/** After a reversal a compressor is not let go before it is said how long it ran backwards. */
const untold = computed(() => {
  const reversedNow = draft.value.meter === 'cba' || draft.value.monitor === 'reversed'
  if (reversedNow) return []
  return [...ran.value.keys()].filter(
    (name) => (draft.value.seen[name]?.hours_backwards?.text ?? '').trim() === '',
  )
})
const blocked = computed(() =>
  untold.value.length > 0 ? t('bench.tellHours', { names: untold.value.join(', ') }) : '',
)

function asksHours(load: SheetLoad): boolean {
  return isRotary(load) && ran.value.has(load.name)
}

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) => put(rotationDraft(entry.input)),
})
</script>

<template>
  <BenchFrame
    ref="frame"
    :part="part"
    :pristine="pristine"
    :blocked="blocked"
    kind="rotation"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ verdict }">
      <div class="drawings">
        <PhaseClock :turns="verdict?.drawing?.turns ?? 'unknown'" />
        <OneLine
          :loads="telling.map((l) => l.name)"
          :swap-supply="verdict?.drawing?.swap_supply ?? false"
          :swap-loads="verdict?.drawing?.swap_loads ?? []"
          :backwards="listOf(verdict, 'backwards_loads')"
        />
      </div>
    </template>
    <template #fields="{ problemOf }">
      <ChoiceField
        v-model="draft.meter"
        :label="t('rotation.confirmed')"
        :options="METER"
        :problem="problemOf('meter')"
      />
      <ChoiceField
        v-model="draft.monitor"
        class="monitor"
        :label="t('rotation.monitor')"
        :options="MONITOR"
        :problem="problemOf('monitor')"
        stacked
      />
      <LoadRow
        v-for="load in telling"
        :key="load.name"
        v-model="draft.seen[load.name]"
        :load="load"
        :index="loads.indexOf(load)"
        :asks-hours="asksHours(load)"
        :problem-of="problemOf"
      />
      <p v-if="others.length > 0" class="others">
        {{ t('rotation.cantTell', { names: others.map((l) => l.name).join(', ') }) }}
      </p>
      <label v-if="draft.meter === 'abc' || draft.meter === 'cba'" class="confirm"
        ><input v-model="draft.meter_confirmed" type="checkbox" /> {{ t('rotation.isConfirmed') }}</label
      >
    </template>
  </BenchFrame>
</template>

<style scoped>
.drawings {
  display: grid;
  gap: 6px;
}
.monitor :deep(.options label) {
  padding: 0 6px;
  font-size: 18px;
}
.others {
  padding: 8px 0;
  font-size: 15px;
  color: var(--iron-soft);
}
.confirm {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  font-size: 15px;
}
.confirm input {
  width: 22px;
  height: 22px;
}
</style>
