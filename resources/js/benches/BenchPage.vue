<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, provide, ref, watch, type Component } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView, TapeEntry } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import StatusMark from '@/components/StatusMark.vue'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import NoBench from './NoBench.vue'
import OverrideDialog from './OverrideDialog.vue'
import BenchFrame from './BenchFrame.vue'
import { CORRECTING, type BenchHandle } from './correcting'
import { GATES, GUESTS, isAbout, JOB, LOCKS, NOTE, SELDOM, type Tab } from './gates'

/** One question: its words, its checks as tabs, and the bench of the one chosen. */
const props = defineProps<{ gate: GateView }>()
defineEmits<{ choose: [gate: number] }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const overriding = ref(false)
/** All benches of the question are shown, those seldom needed too. */
const all = ref(false)
/** Told by the first run itself; by hand only where somebody started something without it. */
const BY_HAND = 'firstStep'
/** Told on any unit of it, it is known on all. */
const FEED = 'feed'
/** The module of a VRF that is worked on is told of before anything is read of it. */
const MODULE = 'moduleService'
/** What came out with a compressor that is changed: how it failed, and how much oil. */
const CHANGE = ['partFailed', 'oil']
/** What Run asks before the press. */
const BEFORE_START = ['standing', 'warmUp', 'prestart', 'firstRun']
const WITH_PARTS = [7, 8, 9]
const LOADERS = {
  start: () => import('./run/StartBench.vue'),
  firstRun: () => import('./run/FirstRun.vue'),
  job: () => import('./JobBench.vue'),
  leave: () => import('./handover/LeaveBench.vue'),
  options: () => import('./OptionsLink.vue'),
  pumpDown: () => import('./out/PumpDownRun.vue'),
  locks: () => import('./out/LockBoard.vue'),
}
const WITH_GATE = ['job', 'leave']
const OTHERS: Record<string, Component> = Object.fromEntries(
  Object.entries(LOADERS).map(([id, loader]) => [
    id,
    defineAsyncComponent(loader as () => Promise<Component>),
  ]),
)
// All of them are fetched while there is signal: without it one can still go from one to the other.
onMounted(() => {
  for (const loader of Object.values(LOADERS)) void loader().catch(() => undefined)
})
/** With what is asked of the whole job, where this question has any of it. */
const tabs = computed<Tab[]>(() => {
  const own = (GATES[props.gate.gate] ?? []).filter((one) => !SELDOM.includes(one.id) || isWanted(one))
  const asks =
    WITH_PARTS.includes(props.gate.gate) ||
    (machine.view?.facts.some((fact) => fact.gates.includes(props.gate.gate)) ?? false)
  return asks ? [...(own.length > 0 ? own : [NOTE]), JOB] : own
})

const isModule = computed(
  () => machine.view?.facts.some((fact) => fact.id === 'module_change' && fact.on) === true,
)

/** A bench that is seldom needed stands where it is asked for, was used, or is opened by hand. */
function isWanted(one: Tab): boolean {
  const spec = one.spec
  if (one.id === LOCKS.id || one.id === BY_HAND) return all.value
  if (one.id === FEED && (machine.view?.feed ?? null) !== null) return true
  if (one.id === MODULE && isModule.value) return true
  if (CHANGE.includes(one.id) && (machine.view?.jobType === 'compressor' || isModule.value)) return true
  if (spec === undefined || (all.value && !GUESTS.includes(one.id))) return true
  return (
    props.gate.missing.some((m) => isAbout(spec, m.check, m.subject)) ||
    (machine.view?.tape.some((e) => isAbout(spec, e.check, e.subject)) ?? false)
  )
}
const hasMore = computed(() =>
  (GATES[props.gate.gate] ?? []).some(
    (one) => SELDOM.includes(one.id) && !GUESTS.includes(one.id) && !isWanted(one),
  ),
)
const tab = ref(firstTab())
const bench = ref<BenchHandle | null>(null)
const correcting = ref<TapeEntry | null>(null)
provide(
  CORRECTING,
  computed(() => correcting.value),
)

/** The tab of what the gate asks next, in the order of the work; while it is stopped, the tab that stopped it. */
function firstTab(): string {
  const { state, missing, gate, check, subject } = props.gate
  const asked = state === 'stopped' ? [{ check, subject }] : missing
  const found = asked
    .map((m) => tabs.value.find((one) => one.spec !== undefined && isAbout(one.spec, m.check, m.subject)))
    .find((one) => one !== undefined)
  if (gate === 12) return 'leave'
  // Run has an order of its own: go down the list, press, then read.
  if (
    gate === 8 &&
    found !== undefined &&
    !BEFORE_START.includes(found.id) &&
    machine.view?.startedAt === null
  )
    return 'start'
  return found?.id ?? tabs.value[0]?.id ?? ''
}

/** The last words of a tab's checks, by mark. */
function status(one: Tab): string {
  if (one.id === 'start') return machine.view?.startedAt === null ? '' : 'clear'
  const spec = one.spec
  const last = spec?.parts.map(
    ({ check }) =>
      machine.view?.tape.find((e) => e.check === check && isAbout(spec, check, e.subject) && e.suspect === '')
        ?.status,
  )
  return ['stop', 'open', 'watch', 'clear'].find((s) => last?.includes(s)) ?? ''
}
const spec = computed(() => {
  const one =
    tabs.value.find((other) => other.id === tab.value) ??
    GATES[props.gate.gate]?.find((other) => other.id === tab.value)
  return one?.own ? undefined : one?.spec
})

function step(by: number) {
  const at = tabs.value.findIndex((one) => one.id === tab.value)
  const next = tabs.value[(at + by + tabs.value.length) % tabs.value.length]
  if (next !== undefined) tab.value = next.id
}

/** After a reading was kept: on to what is asked next, unless it is a stop that wants to be read. */
function recorded(kept: string) {
  correcting.value = null
  if (kept === 'stop' || kept === 'open') return
  void nextTick(() => {
    if (props.gate.missing.length > 0) tab.value = firstTab()
  })
}

/** The bench may still be on its way: it is given the entry as soon as it is there. */
function correct(where: string, entry: TapeEntry) {
  tab.value = where
  correcting.value = entry
}
watch(
  [bench, correcting],
  ([there, entry]) => {
    if (there !== null && entry !== null) there.correct(entry)
  },
  { flush: 'post' },
)

/** What was read at no machine: what stands here already goes only when somebody says so. */
const taking = ref<Record<string, unknown>[] | null>(null)
const asksToTake = computed({
  get: () => taking.value !== null && bench.value?.isPristine?.() === false,
  set: (on) => {
    if (!on) taking.value = null
  },
})
function take(where: string, inputs: Record<string, unknown>[]) {
  all.value = true
  tab.value = where
  taking.value = inputs
}
async function replace() {
  if (taking.value !== null) bench.value?.take?.(taking.value)
}
watch(
  [bench, taking],
  ([there, inputs]) => {
    if (inputs === null || there?.take === undefined || there.isPristine?.() === false) return
    there.take(inputs)
    taking.value = null
  },
  { flush: 'post' },
)

const go = (where: string) => (tab.value = where)

defineExpose({ go, take, record: () => bench.value?.record(), step, correct })
</script>

<template>
  <div class="page">
    <header>
      <div class="head">
        <h1>{{ gate.question }}</h1>
        <button
          v-if="gate.state === 'stopped' && session.may('override')"
          type="button"
          class="press small"
          @click="overriding = true"
        >
          {{ t('override.open') }}
        </button>
      </div>
      <ul v-if="gate.notes.length > 0" class="notes">
        <li v-for="note in gate.notes" :key="note">{{ note }}</li>
      </ul>
      <div v-if="tabs.length > 0" class="tab-line">
        <div class="tabs" role="tablist">
          <button
            v-for="one in tabs"
            :key="one.id"
            type="button"
            role="tab"
            :aria-selected="tab === one.id"
            :tabindex="tab === one.id ? 0 : -1"
            @click="tab = one.id"
            @keydown.right="step(1)"
            @keydown.left="step(-1)"
          >
            <StatusMark v-if="status(one)" :status="status(one)" :size="14" />{{ t(`tabs.${one.id}`)
            }}<span v-if="status(one)" class="sr-only">, {{ t(`tabState.${status(one)}`) }}</span>
          </button>
        </div>
        <button v-if="hasMore && !all" type="button" class="all" @click="all = true">
          {{ t('tabs.more') }}
        </button>
      </div>
    </header>
    <BenchFrame
      v-if="spec"
      :key="tab"
      ref="bench"
      :spec="spec"
      @recorded="recorded"
      @drop-correction="correcting = null"
    />
    <component
      :is="OTHERS[tab]"
      v-else-if="OTHERS[tab] !== undefined"
      :key="`own-${tab}`"
      ref="bench"
      v-bind="WITH_GATE.includes(tab) ? { gate } : {}"
      @choose="$emit('choose', $event)"
      @tab="tab = $event"
      @recorded="recorded"
    />
    <NoBench v-else :gate="gate" />
    <AskDialog
      v-model="asksToTake"
      :title="t('pocket.typed')"
      :submit="t('pocket.replace')"
      :incomplete="false"
      :send="replace"
    >
      <p>{{ t('pocket.typedWhat') }}</p>
    </AskDialog>
    <OverrideDialog v-model="overriding" :gate="gate" />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  height: 100%;
  padding: 14px 20px 0;
}
h1 {
  font-size: 34px;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
}
.head .press {
  flex: none;
}
.notes {
  margin-top: 4px;
  padding-left: 10px;
  border-left: 4px solid var(--watch);
  font-size: 15px;
}
.tab-line {
  display: flex;
  align-items: flex-start;
  margin: 6px 0 8px -8px;
}
.tabs {
  display: flex;
  min-width: 0;
  overflow-x: auto;
}
@media (min-width: 641px) {
  .tabs {
    flex-wrap: wrap;
  }
}
.tab-line button {
  position: relative;
  display: flex;
  align-items: center;
  gap: 5px;
  flex: none;
  min-height: 44px;
  padding: 0 5px;
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  font-size: 16px;
  color: var(--iron);
  white-space: nowrap;
}
.tabs [aria-selected='true'] {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
@media (max-width: 640px) {
  .page {
    padding: 10px 14px 0;
  }
  h1 {
    font-size: 29px;
  }
}
</style>
