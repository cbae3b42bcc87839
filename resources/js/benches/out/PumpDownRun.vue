<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import VerdictLine from '@/components/VerdictLine.vue'
import { useDraft } from '@/composables/useDraft'
import { ring } from '@/lib/bell'
import { wordsOf } from '@/lib/failure'
import { useClocks } from '@/stores/clocks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { counted, freshPumpDown, IN_VACUUM_MS, type PumpDown, stageOf } from './pumpDown'

/**
 * The pump-down as it runs: the screen counts and says stop. It counts from the presses on this device, also without
 * signal; the server keeps the clocks beside it, so that they ring for everybody.
 */
defineEmits<{ recorded: [status: string]; choose: [gate: number]; tab: [tab: string] }>()
const TICK_MS = 200
const MINUTE_MS = 60_000
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const clocks = useClocks()
const { draft: run, clear } = useDraft<PumpDown>(`${machine.view?.id}.pumpdown`, freshPumpDown)
const now = ref(Date.now())
const failure = ref('')
useIntervalFn(() => (now.value = Date.now()), TICK_MS)
const at = computed(() => stageOf(run.value, now.value))
const stage = computed(() => at.value.stage)
const mayRun = computed(() => session.may('record'))
const jumpered = computed(() => machine.outstanding.some((one) => one.kind === 'safety_bypassed'))
watch(stage, (next, before) => {
  if (next === 'stop' && before === 'vacuum') ring()
})

async function tell(work: () => Promise<unknown>) {
  failure.value = ''
  try {
    await work()
  } catch (error) {
    failure.value = wordsOf(error)
  }
}
const clock = (kind: string, minutes?: number) =>
  tell(async () => {
    const words = t(`clocks.kinds.${kind as 'pump_down'}`)
    const body = { kind, name: '', ...(minutes === undefined ? {} : { minutes }) }
    await machine.tell('clocks', body, { label: t('clocks.started'), words })
    await clocks.load().catch(() => undefined)
  })

function on() {
  run.value = { onAt: Date.now(), vacuumAt: null }
  void clock('pump_down')
}

function below() {
  run.value = { ...run.value, vacuumAt: Date.now() }
  void clock('pump_down_vacuum', IN_VACUUM_MS / MINUTE_MS)
}

async function off() {
  clear()
  const kinds = ['pump_down', 'pump_down_vacuum']
  const mine = clocks.clocks.filter(
    (one) => one.machineId === machine.view?.id && one.at !== null && kinds.includes(one.kind),
  )
  for (const one of mine) await tell(() => clocks.stop(one, t('clocks.stopped'), t('pumpDown.offWord')))
}

const jumper = () =>
  tell(() =>
    machine.openPutBack('safety_bypassed', t('pumpDown.lps'), {
      label: t('pumpDown.jumper'),
      words: t('pumpDown.lps'),
    }),
  )

defineExpose({ record: () => undefined, correct: () => undefined })
</script>

<template>
  <div class="run">
    <VerdictLine
      :status="stage === 'stop' ? 'stop' : stage === 'vacuum' ? 'watch' : 'open'"
      :sentence="t(`pumpDown.said.${stage}`)"
      :said="t(stage === 'stop' ? 'status.stop' : stage === 'vacuum' ? 'status.watch' : 'status.open')"
    />
    <p class="count" :class="stage" role="timer" aria-live="off">
      {{ stage === 'stop' ? t('pumpDown.stop') : counted(at.ms) }}
    </p>
    <div v-if="mayRun" class="presses">
      <template v-if="stage === 'off'">
        <p>{{ t('pumpDown.first') }}</p>
        <button type="button" class="press small" :disabled="jumpered || machine.sending" @click="jumper">
          {{ t(jumpered ? 'pumpDown.jumpered' : 'pumpDown.jumper') }}
        </button>
        <button type="button" class="press forge" @click="on">{{ t('pumpDown.on') }}</button>
      </template>
      <button v-if="stage === 'running'" type="button" class="press forge big" @click="below">
        {{ t('pumpDown.below') }}
      </button>
      <button
        v-if="stage !== 'off'"
        type="button"
        class="press big"
        :class="{ forge: stage !== 'running' }"
        @click="off"
      >
        {{ t('pumpDown.off') }}
      </button>
    </div>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  </div>
</template>

<style scoped>
.run {
  display: grid;
  align-content: start;
  gap: 12px;
}
.count {
  font: 600 min(180px, 34vw)/1 var(--figures);
  font-variant-numeric: tabular-nums;
  text-align: center;
}
.count.vacuum {
  color: var(--watch);
}
.count.stop {
  color: var(--stop);
}
.count.off {
  color: var(--open);
}
.presses {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.presses p {
  flex-basis: 100%;
}
.big {
  flex: 1 1 240px;
  min-height: 84px;
  font-size: 27px;
}
.failure {
  color: var(--stop);
}
</style>
