<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import VerdictLine from '@/components/VerdictLine.vue'
import { useDraft } from '@/composables/useDraft'
import { useVerdict } from '@/composables/useVerdict'
import { Refused } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { onward } from '@/lib/onward'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { provideBench } from '../bench'
import { type Draft, freshDraft, isTyped, wireOf } from '../entered'
import NextLine from '../NextLine.vue'
import { useOpening } from '../opening'
import { counted } from '../out/pumpDown'
import { localSecond } from '../rows/taking'
import {
  amount,
  atHand,
  BEFORE,
  byMode,
  cellOf,
  countOf,
  isCompressor,
  isOn,
  startsOf,
  stillMine,
  type Start,
  type Thing,
  thingsOf,
  timersOf,
  WHILE,
} from './firstRun'
import FirstRunTable from './FirstRunTable.vue'
import { firstStep } from './run'

/**
 * The first run, one thing at a time: a large clock since the button, the gauges and the amps of each compressor beside
 * the others, and what was not seen right holds what follows. The clock is this device's; nothing is asked for it.
 */
const emit = defineEmits<{ recorded: [status: string]; choose: [gate: number]; tab: [tab: string] }>()
const TICK_MS = 200
const SECOND = 1000
const MINUTE = 60_000
const REST_MINUTES = 3
const AFTER = 10
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
const session = useSession()
const place = machine.view?.id ?? 0
const { draft: mine } = useDraft<{ starts: Start[] }>(`${place}.firstRun`, () => ({ starts: [] }))
const { draft } = useDraft<Draft>(`${place}.firstRun.read`, freshDraft)
const now = ref(Date.now())
const failure = ref<string[]>([])
useIntervalFn(() => (now.value = Date.now()), TICK_MS)

type Filled = Record<string, Record<string, Record<string, unknown>> | undefined>
const filled = (check: string) => (machine.view?.prefill as Filled | undefined)?.[check]?.['machine'] ?? {}
const known = computed(() => (filled('run.first_start')['steps'] as Start[] | undefined) ?? [])
watch(known, (told) => (mine.value = { starts: stillMine(told, mine.value.starts) }), { immediate: true })
const rest = computed(() => {
  const minutes = amount(filled('run.first_start')['rest'])
  return (Number.isFinite(minutes) ? minutes : REST_MINUTES) * MINUTE
})
const things = computed(() => thingsOf(startsOf(known.value, mine.value.starts), now.value, rest.value))
const hand = computed(() => atHand(things.value))
const count = computed(() => countOf(hand.value, now.value))
const timers = computed(() => timersOf(machine.view?.sheet?.delays ?? [], things.value, now.value))
const isRead = computed(() => count.value.is === 'runs' && count.value.ms >= AFTER * SECOND)
const sums = computed(() => {
  const modes = (filled('power.temporary_supply')['modes'] as Record<string, unknown>[] | undefined) ?? []
  return byMode(things.value).flatMap(({ mode, amps }) => {
    const plate = amount(modes.find((one) => one['name'] === mode)?.['running_amps'])
    return Number.isFinite(plate) ? [{ mode, amps: amps.toFixed(1), plate }] : []
  })
})

/** On a phone one thing is shown: the one at hand, or the one whose name is pressed. */
const picked = ref('')
const shown = computed(() => picked.value || (hand.value?.name ?? things.value[0]?.name ?? ''))
watch(
  () => hand.value?.name,
  () => (picked.value = ''),
)

// What is read at the thing at hand.
const view = computed(() => checks.check(firstStep.parts[0]?.check ?? ''))
const fields = computed(() => view.value?.fields ?? [])
const field = (name: string) => fields.value.find((one) => one.name === name)
const READ = [...BEFORE, ...WHILE]
function readOf(thing: Thing, names: string[]): Record<string, unknown> {
  const read = names.flatMap((name) => {
    const one = field(name)
    const typed = draft.value.values[cellOf(thing, name)]
    return one === undefined || !isTyped(typed) ? [] : [[name, wireOf(one, typed)]]
  })
  return Object.fromEntries(read) as Record<string, unknown>
}
const inputOf = (start: Start): Record<string, unknown> =>
  Object.fromEntries(Object.entries(start).filter(([, value]) => value !== undefined && value !== null))

/** As it would be told now, so that what is wrong with a figure stands at the figure. */
const asIs = computed(() => {
  const one = hand.value
  if (one === undefined) return {}
  const started = one.place === 'running' ? one.start.started : localSecond(new Date())
  return inputOf({ ...plain(one), started, seen: 'good', ...readOf(one, READ) })
})
const handRead = computed(() => (hand.value === undefined ? {} : readOf(hand.value, READ)))
const typed = computed(() => Object.keys(handRead.value).length > 0)
const judged = useVerdict(ref('entry.first_step'), asIs, typed)
const plain = (thing: Thing): Start => {
  const { name, kind, drive, plate_amps } = thing.start
  return {
    name,
    kind,
    ...(drive === undefined ? {} : { drive }),
    ...(plate_amps === undefined ? {} : { plate_amps }),
  }
}
provideBench({
  spec: firstStep,
  checks: computed(() => (view.value === undefined ? [] : [view.value])),
  draft,
  context: computed(() => ({ draft: draft.value, tape: machine.view?.tape ?? [], items: {} })),
  prefill: computed(() => ({})),
  problemAt: (where) =>
    judged.problem.value !== null &&
    hand.value !== undefined &&
    where === cellOf(hand.value, judged.problem.value.field ?? '')
      ? judged.problem.value.detail
      : '',
  field: (path) => field(path.split('.').pop() ?? ''),
  missing: computed(() => new Set<string>()),
})

const last = computed(() =>
  machine.view?.tape.find((one) => one.check === 'run.first_start' && one.suspect === ''),
)
const done = computed(() => things.value.length > 0 && hand.value === undefined)
const opening = useOpening('start')
const refused = computed(() => (opening.refused.value ? opening.reasons.value : []))
const mayRecord = computed(() => session.may('record') && session.may('start'))

/** Kept here at once; it goes out as soon as there is signal. */
function keep(start: Start) {
  const others = mine.value.starts.filter((one) => one.name !== start.name || one.started !== start.started)
  mine.value = { starts: [...others, start] }
}

/** What was started is the record's to tell; what is still to come is told with it. */
const toCome = (but: string) =>
  things.value.filter((one) => one.start.started === undefined && one.name !== but).map(plain)

const reasonsOf = (error: unknown): string[] =>
  error instanceof Refused ? (error.problem.reasons ?? [error.message]) : [wordsOf(error)]

async function tell(start: Start, isJudged: boolean): Promise<boolean> {
  failure.value = []
  const said = { label: t('firstRun.label'), words: start.name }
  const step = { check: 'entry.first_step', subject: 'machine', input: inputOf(start) }
  const unchecked = opening.unsure.value ? { unchecked: true } : {}
  try {
    if (isJudged) {
      const judge = {
        check: 'run.first_start',
        subject: 'machine',
        input: { now: localSecond(new Date()), ...filled('run.first_start'), steps: toCome(start.name) },
      }
      await machine.recordTogether([step, judge], unchecked, said)
    } else await machine.record(step.check, { subject: 'machine', input: step.input, ...unchecked }, said)
    keep(start)
    return true
  } catch (error) {
    failure.value = reasonsOf(error)
    return false
  }
}

async function begin(thing: Thing) {
  if (refused.value.length > 0 || machine.sending) return
  failure.value = []
  try {
    if (machine.view?.startedAt === null) await machine.start({ label: t('tape.start'), words: '' })
  } catch (error) {
    failure.value = reasonsOf(error)
    return
  }
  for (const name of thing.start.started === undefined ? [] : READ)
    draft.value.values[cellOf(thing, name)] = undefined
  await tell({ ...plain(thing), started: localSecond(new Date()), ...readOf(thing, BEFORE) }, false)
}

async function see(thing: Thing, seen: 'good' | 'bad') {
  const moment = localSecond(new Date())
  const seconds = Math.min(
    3600,
    Math.round((Date.now() - new Date(thing.start.started ?? moment).getTime()) / SECOND),
  )
  const ends = seen === 'bad' && thing.start.stopped === undefined ? { stopped: moment } : {}
  const start = {
    ...thing.start,
    ...readOf(thing, READ),
    seen,
    seen_at: moment,
    seconds,
    ...ends,
  }
  if (await tell(start, true)) emit('recorded', done.value ? 'clear' : 'open')
}

const stop = (thing: Thing) =>
  tell({ ...thing.start, ...readOf(thing, READ), stopped: localSecond(new Date()) }, true)
const runs = (thing: Thing) => isOn(thing, now.value)

const root = ref<HTMLElement | null>(null)
/** The first of the presses, by its key. */
function record() {
  const one = hand.value
  if (one === undefined || !mayRecord.value || refused.value.length > 0) return
  if (one.place === 'running' || one.place === 'look') void see(one, 'good')
  else if (one.may) void begin(one)
}
defineExpose({ record, correct: () => undefined })
</script>

<template>
  <div
    ref="root"
    class="run"
    @keydown.enter="onward($event, root, () => root?.querySelector<HTMLElement>('.presses .forge'))"
    @keydown.esc="($event.target as HTMLElement).blur()"
  >
    <div class="top">
      <VerdictLine
        v-if="refused.length > 0"
        status="stop"
        :sentence="t('start.shut')"
        :said="t('status.stop')"
      />
      <template v-else-if="count.is !== 'runs' || last?.status === 'stop'">
        <VerdictLine
          :status="last?.status ?? 'open'"
          :sentence="last?.headline ?? t('firstRun.lead')"
          :said="t(`status.${(last?.status ?? 'open') as 'open'}`)"
        />
        <NextLine v-if="last && ['stop', 'watch'].includes(last.status)" :steps="last.next" />
      </template>
    </div>
    <ul v-if="refused.length > 0" class="why">
      <li v-for="reason in refused" :key="reason">{{ reason }}</li>
    </ul>
    <div v-else class="hand" :class="count.is">
      <p v-if="!done" class="count" :class="{ now: isRead }" role="timer" aria-live="off">
        {{ counted(count.ms) }}
      </p>
      <div class="acts">
        <p class="what">
          <template v-if="done">{{ t('firstRun.done') }}</template>
          <template v-else-if="hand && count.is === 'runs'">{{
            t(isRead && isCompressor(hand) ? 'firstRun.read' : 'firstRun.runs', { name: hand.name })
          }}</template>
          <template v-else-if="hand && count.is === 'rests'">{{
            t('firstRun.rests', { name: hand.name })
          }}</template>
          <template v-else-if="hand">{{
            t(
              hand.place === 'next' && isCompressor(hand)
                ? 'firstRun.at.nextGauges'
                : `firstRun.at.${hand.place}`,
              { name: hand.name },
            )
          }}</template>
        </p>
        <p v-for="timer in timers" :key="timer.what" class="timer">
          {{
            t('firstRun.timer', {
              what: timer.what.charAt(0).toUpperCase() + timer.what.slice(1),
              minutes: timer.minutes,
              left: counted(timer.left),
            })
          }}
        </p>
        <div v-if="hand && mayRecord" class="presses">
          <template v-if="hand.place === 'running' || hand.place === 'look'">
            <button
              type="button"
              class="press forge big"
              :disabled="machine.sending"
              @click="see(hand, 'good')"
            >
              {{ t('firstRun.good') }}
            </button>
            <button type="button" class="press big" :disabled="machine.sending" @click="see(hand, 'bad')">
              {{ t(runs(hand) ? 'firstRun.badOff' : 'firstRun.bad') }}
            </button>
          </template>
          <button
            v-if="hand.place !== 'running'"
            type="button"
            class="press big"
            :class="{ forge: hand.place !== 'look' }"
            :disabled="!hand.may || machine.sending"
            @click="begin(hand)"
          >
            {{
              t(hand.start.started === undefined ? 'firstRun.start' : 'firstRun.again', { name: hand.name })
            }}
          </button>
          <button
            v-if="runs(hand)"
            type="button"
            class="press small"
            :disabled="machine.sending"
            @click="stop(hand)"
          >
            {{ t('firstRun.stop') }}
          </button>
        </div>
        <p v-else-if="!mayRecord">{{ t('start.notYou') }}</p>
        <p v-for="sum in sums" :key="sum.mode" class="sum">
          {{ t(`firstRun.sum.${sum.mode}`, { amps: sum.amps, plate: sum.plate }) }}
        </p>
      </div>
    </div>
    <p v-for="one in failure" :key="one" class="failure" role="alert">{{ one }}</p>
    <FirstRunTable
      :things="things"
      :hand="hand"
      :shown="shown"
      :fields="fields"
      :read="handRead"
      :may-stop="mayRecord && !machine.sending"
      :now="now"
      @pick="picked = $event"
      @stop="stop"
    />
    <p v-if="judged.verdict.value?.status === 'watch'" class="failure">
      {{ judged.verdict.value.headline }} {{ judged.verdict.value.because.join(' ') }}
    </p>
    <p class="caption">
      {{ t('firstRun.basis') }}
      <button type="button" class="all" @click="emit('tab', 'conditions')">{{ t('tabs.conditions') }}</button>
      <button type="button" class="all" @click="emit('tab', 'firstStep')">{{ t('firstRun.byHand') }}</button>
    </p>
  </div>
</template>

<style scoped>
.run {
  display: grid;
  align-content: start;
  gap: 10px;
  overflow: auto;
  padding-bottom: 12px;
}
.why {
  display: grid;
  gap: 8px;
  padding-left: 22px;
  list-style: square;
  font-size: 18px;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 28px;
}
.count {
  min-width: 260px;
  font: 600 min(132px, 30vw)/1 var(--figures);
  font-variant-numeric: tabular-nums;
  text-align: center;
}
.still .count {
  color: var(--iron-soft);
}
.rests .count,
.count.now {
  color: var(--watch);
}
.acts {
  display: grid;
  flex: 1 1 320px;
  gap: 6px;
}
.what {
  font: 600 24px/1.2 var(--figures);
}
.timer,
.sum {
  font-size: 17px;
}
.presses {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.big {
  flex: 1 1 150px;
  min-height: 68px;
  font-size: 24px;
}
.failure {
  color: var(--stop);
}
.all {
  min-height: 44px;
  padding: 0 8px;
  border: 0;
  background: none;
  color: var(--iron);
  text-decoration: underline;
}
@media (max-width: 640px) {
  .top {
    position: sticky;
    top: 0;
    z-index: 3;
    background: var(--paper);
  }
  .big {
    min-height: 84px;
  }
}
</style>
