<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import { useDraft } from '@/composables/useDraft'
import { compact, fromWire } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import BenchFrame from '../BenchFrame.vue'
import FigureField from '../common/FigureField.vue'
import { anyTyped, fillFrom, wireFigures, type Figures } from '../common/figures'
import LockSketch from './LockSketch.vue'

/** Dead, proved: lock, tag, tester before and after, six readings, where the lock hangs and where the work is. */
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
const session = useSession()
type Draft = {
  figures: Figures
  lock_id: string
  tag_name: string
  lock_at?: string
  work_at?: string
  tester_proved_before?: boolean
  tester_proved_after?: boolean
}
const SIX = ['volts_ab', 'volts_bc', 'volts_ca', 'volts_ag', 'volts_bg', 'volts_cg'] as const
const READINGS = [...SIX, 'control_volts'] as const
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.lockout`, () => ({
  figures: {},
  lock_id: '',
  tag_name: session.person?.name ?? '',
}))
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const pristine = computed(
  () =>
    draft.value.lock_id.trim() === '' &&
    draft.value.lock_at === undefined &&
    draft.value.work_at === undefined &&
    draft.value.tester_proved_before === undefined &&
    !anyTyped(draft.value.figures, READINGS),
)
const part = computed(() => {
  const { figures, ...said } = draft.value
  return {
    check: 'power.lockout',
    subject: 'machine',
    input: { ...compact(said), ...wireFigures(figures, READINGS) },
  }
})
const blocked = computed(() =>
  draft.value.lock_at === undefined || draft.value.work_at === undefined ? t('bench.tellPlace') : '',
)
const label = (name: string) => checks.field('power.lockout', name)?.label ?? ''
const help = (name: string) => checks.field('power.lockout', name)?.help
const word = (value: unknown) => (typeof value === 'string' ? value : undefined)
const YES = [
  { value: true, text: t('lockout.yes') },
  { value: false, text: t('lockout.no') },
]
const LOCK_AT = [
  { value: 'unit_disconnect', text: t('lockout.unit') },
  { value: 'upstream', text: t('lockout.upstream') },
]
const WORK_AT = [
  { value: 'load_side', text: t('lockout.load') },
  { value: 'line_side', text: t('lockout.line') },
]

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) => {
    const { lock_id, tag_name, lock_at, work_at, tester_proved_before, tester_proved_after } =
      entry.input as Draft
    put({
      lock_id,
      tag_name,
      lock_at,
      work_at,
      tester_proved_before,
      tester_proved_after,
      figures: Object.fromEntries(READINGS.map((name) => [name, fromWire(entry.input[name])])),
    })
  },
})
</script>

<template>
  <BenchFrame
    ref="frame"
    :part="part"
    :pristine="pristine"
    :blocked="blocked"
    kind="meter"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing="{ input }"
      ><LockSketch :lock-at="word(input.lock_at)" :work-at="word(input.work_at)"
    /></template>
    <template #fields="{ problemOf }">
      <div class="names">
        <label
          >{{ label('lock_id')
          }}<input v-model="draft.lock_id" class="figure text" maxlength="120" autocomplete="off"
        /></label>
        <label
          >{{ label('tag_name')
          }}<input v-model="draft.tag_name" class="text" maxlength="120" autocomplete="off"
        /></label>
      </div>
      <ChoiceField v-model="draft.lock_at" :label="label('lock_at')" :options="LOCK_AT" />
      <ChoiceField v-model="draft.work_at" :label="label('work_at')" :options="WORK_AT" />
      <ChoiceField
        v-model="draft.tester_proved_before"
        :label="label('tester_proved_before')"
        :help="help('tester_proved_before')"
        :options="YES"
      />
      <div class="six">
        <FigureField
          v-for="name in SIX"
          :key="name"
          v-model="draft.figures[name]"
          check="power.lockout"
          :path="name"
          :problem="problemOf(name)"
          compact
          @several="fillFrom(draft.figures, SIX, name, $event, 'V')"
        />
      </div>
      <FigureField
        v-model="draft.figures.control_volts"
        check="power.lockout"
        path="control_volts"
        :problem="problemOf('control_volts')"
        optional
      />
      <ChoiceField
        v-model="draft.tester_proved_after"
        :label="label('tester_proved_after')"
        :help="help('tester_proved_after')"
        :options="YES"
      />
    </template>
  </BenchFrame>
</template>

<style scoped>
.names {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 12px;
  padding: 4px 0;
}
.six {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 8px;
  padding: 4px 0 6px;
  border-bottom: 1px solid var(--rule);
}
.text {
  display: block;
  width: 100%;
  height: 52px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
  font: 600 24px/1 var(--figures);
}
.text:focus {
  border-color: var(--forge);
}
</style>
