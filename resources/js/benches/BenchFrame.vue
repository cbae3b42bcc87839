<script setup lang="ts">
import { ElMessage } from 'element-plus'
import { computed, ref, toRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { type TapeEntry } from '@/api/client'
import PhotoPick from '@/components/PhotoPick.vue'
import FoldLine from '@/components/FoldLine.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { useVerdict } from '@/composables/useVerdict'
import { wordsOf } from '@/lib/failure'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { useCorrecting, type Part } from './common/parts'
import { typedOver } from './common/plate'

/**
 * What every bench has: the verdict while typing, the drawing and the readings side by side, the reasons, and
 * the one button. While nothing is typed it shows what was recorded last.
 */
const props = defineProps<{
  part: Part
  second?: Part
  pristine: boolean
  /** Something that must be said before it may be recorded. */
  blocked?: string
  kind?: string
}>()
const emit = defineEmits<{ recorded: [status: string]; clear: []; dropCorrection: [] }>()
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
const session = useSession()
const correcting = useCorrecting()
const instrument = ref<number | undefined>(undefined)
const reason = ref('')
const photos = ref<File[]>([])
const failure = ref('')
const root = ref<HTMLElement | null>(null)
const button = ref<HTMLButtonElement | null>(null)

function last(part: Part): TapeEntry | undefined {
  return machine.view?.tape.find(
    (e) => e.check === part.check && e.subject === part.subject && !e.suspect && e.kind === 'check',
  )
}

/** Nothing typed: what was recorded last is shown, judged by its own input. */
function shown(part: Part | undefined): Record<string, unknown> {
  if (part === undefined) return {}
  const before = props.pristine ? last(part) : undefined
  return before === undefined ? part.input : before.input
}
const recordedBefore = computed(() => props.pristine && last(props.part) !== undefined)
const firstInput = computed(() => shown(props.part))
const secondInput = computed(() => shown(props.second))
const main = useVerdict(
  toRef(() => props.part.check),
  firstInput,
)
const other =
  props.second === undefined
    ? null
    : useVerdict(
        toRef(() => props.second?.check ?? ''),
        secondInput,
      )
const WEIGHT: Record<string, number> = { clear: 0, watch: 1, open: 2, stop: 3 }

/** The graver of the two speaks first. */
const leads = computed(() => {
  const [a, b] = [main.verdict.value, other?.verdict.value ?? null]
  return a !== null && b !== null && (WEIGHT[b.status] ?? 0) > (WEIGHT[a.status] ?? 0) ? b : a
})
const follows = computed(() =>
  leads.value === main.verdict.value ? (other?.verdict.value ?? null) : main.verdict.value,
)
const problem = computed(() => main.problem.value ?? other?.problem.value ?? null)
const sentence = computed(() => {
  if (problem.value !== null) return words(problem.value.detail)
  if (blind.value) return t('bench.blind')
  if (leads.value === null) return t('bench.wait')
  const second = follows.value === null || follows.value.status === 'open' ? '' : ` ${follows.value.headline}`
  return (
    leads.value.headline + (leads.value.status === 'open' && follows.value?.status === 'open' ? '' : second)
  )
})
/** Without signal nothing can be judged: it is kept as it is and judged when it arrives. */
const blind = computed(() => !machine.reachable && leads.value === null && !props.pristine)
const status = computed(() => (problem.value !== null ? 'open' : (leads.value?.status ?? 'open')))
const parts = computed(() => [props.part, ...(props.second === undefined ? [] : [props.second])])
const outOfOrder = computed(() => isOutOfOrder(props.part))
/** Figures of the sheet that were typed over: the record wants to know why. */
const over = computed(() =>
  props.pristine
    ? []
    : parts.value.flatMap((one) =>
        typedOver(
          (machine.view?.plate as Record<string, Record<string, string>> | undefined)?.[one.check],
          one.input,
        ),
      ),
)
const why = computed(() => {
  const [first] = over.value
  if (first !== undefined) return t('bench.plate', { sheet: first.sheet, typed: first.typed })
  return outOfOrder.value && !props.pristine ? t('bench.outOfOrder') : ''
})
const instruments = computed(
  () =>
    machine.view?.instruments.filter((i) => props.kind === undefined || i.kind.includes(props.kind)) ?? [],
)
const overdue = computed(() => instruments.value.find((i) => i.id === instrument.value)?.overdue ?? false)
const buttonText = computed(() => {
  if (machine.sending) return t('bench.recording')
  if (status.value === 'stop') return t('bench.recordStop')
  return status.value === 'open' ? t('bench.recordOpen') : t('bench.record')
})
const mayRecord = computed(() => session.may('record'))
const ready = computed(
  () =>
    !props.pristine &&
    problem.value === null &&
    (leads.value !== null || blind.value) &&
    !props.blocked &&
    (over.value.length === 0 || reason.value.trim() !== '') &&
    !machine.sending &&
    mayRecord.value,
)

function isOutOfOrder(part: Part): boolean {
  const running = part.check === 'power.running_amps' || part.subject === 'loaded'
  return running && (machine.view?.gates.find((g) => g.gate === 8)?.shut ?? false)
}

/** The server's word for a value, without the name of the key. */
function words(detail: string): string {
  const told = detail.replace(/^[a-z_.0-9]+: /, '')
  return told.charAt(0).toUpperCase() + told.slice(1)
}

function problemOf(path: string): string {
  const found = [main.problem.value, other?.problem.value].find((p) => p?.field === path)
  return found === undefined || found === null ? '' : words(found.detail)
}

async function record() {
  if (!ready.value) {
    root.value?.querySelector<HTMLInputElement>('.figure')?.focus()
    return
  }
  failure.value = ''
  const kept = leads.value?.status ?? 'open'
  try {
    let waits = false
    for (const one of parts.value) {
      const sent = await machine.record(
        one.check,
        {
          subject: one.subject,
          input: one.input,
          ...(instrument.value === undefined ? {} : { instrument: instrument.value }),
          ...(correcting?.value?.check === one.check ? { supersedes: correcting.value.at } : {}),
          ...(reason.value === '' ? {} : { reason: reason.value }),
        },
        {
          label: checks.check(one.check)?.short ?? one.check,
          words:
            one === props.part ? sentenceOf(main.verdict.value) : sentenceOf(other?.verdict.value ?? null),
        },
      )
      if (sent === null) return
      waits ||= sent.at === null
      for (const photo of one === props.part ? photos.value : [])
        void machine
          .photograph(photo, sent, '', { label: t('photo.one'), words: '' })
          .catch((error: unknown) => (failure.value = wordsOf(error)))
    }
    reason.value = ''
    photos.value = []
    ElMessage({ message: t(waits ? 'bench.waits' : 'bench.recorded'), duration: 1500, grouping: true })
    emit('clear')
    emit('recorded', kept)
  } catch (error) {
    failure.value = wordsOf(error)
  }
}

function sentenceOf(verdict: { headline: string } | null): string {
  return verdict?.headline ?? ''
}

function dropCorrection() {
  emit('clear')
  emit('dropCorrection')
}

/** Enter goes on to the next empty reading; from the last one to the button. */
function onEnter(event: KeyboardEvent) {
  if (!(event.target instanceof HTMLInputElement) || !event.target.classList.contains('figure')) return
  event.preventDefault()
  const boxes = [...(root.value?.querySelectorAll<HTMLInputElement>('.figure') ?? [])]
  const at = boxes.indexOf(event.target)
  const next = boxes.slice(at + 1).find((box) => box.value === '')
  ;(next ?? button.value)?.focus()
}

defineExpose({ record })
</script>

<template>
  <div ref="root" class="frame" @keydown.enter="onEnter" @keydown.esc="($event.target as HTMLElement).blur()">
    <VerdictLine
      :status="status"
      :sentence="sentence"
      :said="t(`status.${status as 'clear' | 'watch' | 'stop' | 'open'}`)"
      :note="leads?.marginal ? `(${t('bench.close')})` : ''"
    />
    <div class="body">
      <div class="left">
        <slot
          name="drawing"
          :verdict="main.verdict.value"
          :input="firstInput"
          :second="other?.verdict.value ?? null"
          :second-input="secondInput"
        />
        <FoldLine :verdict="leads" />
      </div>
      <div class="right">
        <slot
          name="fields"
          :problem-of="problemOf"
          :verdict="main.verdict.value"
          :recorded="recordedBefore"
        />
      </div>
    </div>
    <div class="foot">
      <p v-if="correcting" class="caption">
        {{ t('bench.supersedes', { at: correcting.at }) }}
        <button type="button" class="press small" @click="dropCorrection">
          {{ t('bench.notCorrecting') }}
        </button>
      </p>
      <label v-if="why" class="reason">{{ why }}<input v-model="reason" maxlength="500" /></label>
      <button
        v-if="mayRecord"
        ref="button"
        type="button"
        class="press forge"
        :disabled="!ready"
        @click="record"
      >
        {{ buttonText }}
      </button>
      <p v-else class="caption">{{ t('bench.cantRecord') }}</p>
      <PhotoPick v-if="mayRecord && !pristine" v-model="photos" />
      <label v-if="kind !== undefined && instruments.length > 0 && mayRecord" class="with">
        {{ t('bench.readWith') }}
        <select v-model="instrument">
          <option :value="undefined">{{ t('bench.noInstrument') }}</option>
          <option v-for="one in instruments" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
        <span v-if="overdue" class="warn">{{ t('bench.overdue') }}</span>
      </label>
      <p
        v-if="failure || blocked"
        class="failure"
        :class="{ blocked: !failure }"
        :role="failure ? 'alert' : undefined"
      >
        {{ failure || (pristine ? '' : blocked) }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
  min-height: 0;
  height: 100%;
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 22px;
  min-height: 0;
  overflow: auto;
  padding: 8px 2px 10px 0;
}
.left {
  min-width: 0;
}
.right {
  min-width: 0;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  padding: 10px 0 12px;
  border-top: 1px solid var(--rule);
}
.with {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 15px;
  color: var(--iron-soft);
}
select {
  min-height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
}
.warn {
  color: var(--watch);
}
.failure {
  flex: 1;
  min-width: 200px;
  color: var(--stop);
}
.failure.blocked {
  color: var(--forge-text);
}
.reason {
  flex-basis: 100%;
  font-size: 15px;
  color: var(--watch);
}
.reason input {
  display: block;
  width: 100%;
  min-height: 44px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
}
@media (max-width: 900px) {
  .frame {
    display: block;
    overflow: auto;
  }
  .body {
    display: block;
    overflow: visible;
  }
  .foot {
    position: sticky;
    bottom: 0;
    background: var(--paper);
  }
  .right {
    margin-top: 10px;
  }
}
</style>
