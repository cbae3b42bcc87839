<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import StatusMark from '@/components/StatusMark.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { useDraft } from '@/composables/useDraft'
import { useVerdict } from '@/composables/useVerdict'
import { Refused } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'
import { provideBench } from '../bench'
import { type Draft, freshDraft, isTyped, wireOf } from '../entered'
import NextLine from '../NextLine.vue'
import { counted } from '../out/pumpDown'
import FieldCell from '../rows/FieldCell.vue'
import { localSecond } from '../rows/taking'
import {
  amount,
  apart,
  atHand,
  byMode,
  countOf,
  isCompressor,
  startsOf,
  stillMine,
  type Start,
  type Thing,
  thingsOf,
  timersOf,
} from './firstRun'
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
const outbox = useOutbox()
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
const field = (name: string) => view.value?.fields.find((one) => one.name === name)
const BEFORE = ['suction_before', 'discharge_before']
const WHILE = ['suction_after', 'discharge_after', 'amps', 'noise']
const READ = [...BEFORE, ...WHILE]
const ROWS = [BEFORE[0], WHILE[0], BEFORE[1], WHILE[1], 'amps', 'noise'] as const
const at = (thing: Thing, name: string) => `${thing.name.replaceAll('.', ' ')}.${name}`
const asks = (thing: Thing, name: string) => isCompressor(thing) || name === 'amps'
const isOpen = (thing: Thing, name: string) =>
  thing.name === hand.value?.name && asks(thing, name) && thing.place !== 'held'
function readOf(thing: Thing, names: string[]): Record<string, unknown> {
  const read = names.flatMap((name) => {
    const one = field(name)
    const typed = draft.value.values[at(thing, name)]
    return one === undefined || !isTyped(typed) ? [] : [[name, wireOf(one, typed)]]
  })
  return Object.fromEntries(read) as Record<string, unknown>
}
const told = (thing: Thing, name: string): string => {
  const value = thing.start[name]
  const one = field(name)
  const word = one?.optionWords[one.options.findIndex((option) => option === value)]
  return word ?? (typeof value === 'object' && value !== null ? `${amount(value)}` : String(value ?? ''))
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
const typed = computed(() => hand.value !== undefined && Object.keys(readOf(hand.value, READ)).length > 0)
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
    where === at(hand.value, judged.problem.value.field ?? '')
      ? judged.problem.value.detail
      : '',
  field: (path) => field(path.split('.').pop() ?? ''),
  missing: computed(() => new Set<string>()),
})

const last = computed(() =>
  machine.view?.tape.find((one) => one.check === 'run.first_start' && one.suspect === ''),
)
const done = computed(() => things.value.length > 0 && hand.value === undefined)
const unsure = computed(() => !machine.reachable || outbox.held.length > 0)
const refused = computed(() => (unsure.value ? [] : (machine.view?.startRefused ?? [])))
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
  const unchecked = unsure.value ? { unchecked: true } : {}
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
    draft.value.values[at(thing, name)] = undefined
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
/** What was left running days ago is switched off elsewhere. */
const LONG = 12 * 60 * MINUTE
const runs = (thing: Thing) =>
  thing.start.started !== undefined &&
  thing.start.stopped === undefined &&
  now.value - new Date(thing.start.started).getTime() < LONG
const MARKS: Record<Thing['place'], string> = {
  good: 'clear',
  bad: 'stop',
  running: 'open',
  look: 'open',
  next: '',
  held: '',
}

/** Enter goes on to the next empty reading; from the last one to the press at hand. */
const root = ref<HTMLElement | null>(null)
function onEnter(event: KeyboardEvent) {
  if (!(event.target instanceof HTMLInputElement) || !event.target.classList.contains('figure')) return
  event.preventDefault()
  const boxes = [...(root.value?.querySelectorAll<HTMLInputElement>('.figure') ?? [])]
  const next = boxes.slice(boxes.indexOf(event.target) + 1).find((box) => box.value === '')
  ;(next ?? root.value?.querySelector<HTMLElement>('.presses .forge'))?.focus()
}

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
  <div ref="root" class="run" @keydown.enter="onEnter" @keydown.esc="($event.target as HTMLElement).blur()">
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
    <div class="things" role="table" :style="{ '--things': things.length }">
      <div class="line heads" role="row">
        <span role="columnheader" class="label"
          ><span class="sr-only">{{ t('firstRun.reading') }}</span></span
        >
        <span
          v-for="thing in things"
          :key="thing.name"
          class="thing head"
          :class="{ mine: thing.name === hand?.name, shown: thing.name === shown }"
          role="columnheader"
        >
          <b @click="picked = thing.name"
            ><StatusMark v-if="MARKS[thing.place]" :status="MARKS[thing.place]" :size="18" />
            {{ thing.name }}</b
          >
          <small>{{ t(`firstRun.place.${thing.place}`) }}</small>
          <button
            v-if="mayRecord && runs(thing) && thing.name !== hand?.name"
            type="button"
            class="press small"
            :disabled="machine.sending"
            @click="stop(thing)"
          >
            {{ t('firstRun.stop') }}
          </button>
        </span>
      </div>
      <div
        v-for="name in ROWS"
        :key="name"
        class="line"
        :class="{ bare: !things.some((one) => one.name === shown && asks(one, name ?? '')) }"
        role="row"
      >
        <span class="label" role="rowheader">{{ field(name ?? '')?.label }}</span>
        <span
          v-for="thing in things"
          :key="thing.name"
          class="thing"
          :class="{ mine: thing.name === hand?.name, shown: thing.name === shown }"
          role="cell"
        >
          <template v-if="asks(thing, name ?? '')">
            <FieldCell
              v-if="isOpen(thing, name ?? '') && field(name ?? '')"
              :field="field(name ?? '')!"
              :at="at(thing, name ?? '')"
              :label="`${field(name ?? '')?.label}, ${thing.name}`"
              compact
            />
            <template v-else>{{ told(thing, name ?? '') }}</template>
            <small v-if="name === 'amps' && thing.start.plate_amps">{{
              t('firstRun.plate', { amps: told(thing, 'plate_amps') })
            }}</small>
          </template>
        </span>
      </div>
      <div class="line" role="row">
        <span class="label" role="rowheader">{{ t('firstRun.apart') }}</span>
        <span
          v-for="thing in things"
          :key="thing.name"
          class="thing"
          :class="{ mine: thing.name === hand?.name, shown: thing.name === shown }"
          role="cell"
        >
          <b>{{
            apart({
              ...thing.start,
              ...(thing.name === hand?.name ? readOf(thing, READ) : {}),
            })
          }}</b>
        </span>
      </div>
    </div>
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
.line {
  display: grid;
  grid-template-columns: 170px repeat(var(--things), minmax(0, 1fr));
  align-items: center;
  gap: 4px 14px;
  min-height: 38px;
  border-bottom: 1px solid var(--rule);
}
.heads {
  align-items: end;
  border-bottom: 2px solid var(--ink);
}
.thing {
  min-width: 0;
  padding: 2px 6px;
  font-size: 18px;
}
.thing.mine {
  align-self: stretch;
  background: var(--ground);
}
.head b {
  display: flex;
  align-items: center;
  gap: 6px;
  font: 600 20px/1.2 var(--figures);
}
.thing small {
  display: block;
  font-size: 14px;
  color: var(--iron-soft);
}
.label {
  font-size: 16px;
}
.thing :deep(.reading > label),
.thing :deep(legend) {
  position: absolute;
  overflow: hidden;
  width: 1px;
  height: 1px;
  clip-path: inset(50%);
}
.thing :deep(.reading),
.thing :deep(.choice) {
  display: block;
  min-width: 0;
  padding: 0;
  border: 0;
}
.thing :deep(.box) {
  width: 100%;
}
.thing :deep(.box input) {
  width: 100%;
  min-width: 0;
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
  .heads {
    grid-template-columns: repeat(var(--things), minmax(0, 1fr));
    gap: 2px;
  }
  .line:not(.heads) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  }
  .line:not(.heads) .thing:not(.shown),
  .line.bare,
  .heads .label {
    display: none;
  }
  .heads .shown {
    border-bottom: 3px solid var(--ink);
  }
  .heads .thing {
    padding: 2px;
  }
  .big {
    min-height: 84px;
  }
}
</style>
