<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { post } from '@/lib/post'
import { fromWire, type Typed } from '@/lib/reading'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { useBench } from '../bench'
import { changes, followed, isFault, stepOf } from './live'

/** What the system's controller shows now, beside what is typed: followed by a press, and left alone by typing. */
const props = defineProps<{ of: 'commission' | 'plan' | 'zones' }>()
type View = Schemas['ControllerView']
const EVERY_MS = 1_000
const MINUTE_MS = 60_000
/** Minutes a coil is given to answer. */
const ANSWERS = 10
const bench = useBench()
const machine = useMachine()
const session = useSession()
const { t } = useI18n()
const view = ref<View | null>(null)
const failure = ref('')
const follows = ref(false)
const sending = ref(false)
/** Coils as they were when something was called, and when that was. */
const before = ref<{ coils: Record<string, string>; at: number; units: string[] } | null>(null)
const now = ref(Date.now())

const id = computed(() => machine.view?.id ?? null)
const away = computed(() => view.value?.indoor.filter((unit) => !unit.ready) ?? [])
const running = computed(() => view.value?.indoor.filter((unit) => unit.called) ?? [])
const called = computed(() => running.value.map((unit) => unit.id))
const nameOf = (unit: View['indoor'][number]) => (props.of === 'zones' ? unit.zone : unit.id)
const minutes = computed(() =>
  before.value === null ? 0 : ((now.value - before.value.at) / MINUTE_MS) * (view.value?.speed ?? 1),
)
const steps = computed(() => (bench.prefill.value['script'] as unknown[] | undefined)?.length ?? 0)

async function look() {
  const at = id.value
  // Nobody looks at a page that is hidden.
  if (at === null || sending.value || document.hidden) return
  try {
    const next = await answer<View>(
      api.GET('/api/v1/machines/{machine}/controller', { params: { path: { machine: at } } }) as never,
    )
    if (at === id.value && !sending.value) view.value = next
  } catch {
    // Without signal what it showed is no reading any more.
    view.value = null
  }
  now.value = Date.now()
}
const { pause } = useIntervalFn(() => void look().then(stopIfNone), EVERY_MS, { immediateCallback: true })
/** Where there is no controller nobody goes on asking for one. */
function stopIfNone() {
  if (view.value !== null && !view.value.there && !view.value.silent) pause()
}

async function press(what: string, units: string[] = []) {
  const at = id.value
  if (at === null || sending.value) return
  failure.value = ''
  sending.value = true
  try {
    view.value = await post<View>(`machines/${at}/controller`, {
      press: what,
      ...(units.length === 0 ? {} : { units }),
    })
  } catch (error) {
    failure.value = wordsOf(error)
  } finally {
    sending.value = false
  }
}

/** Called by itself, or beside those that run. */
async function call(unit: string) {
  const units = called.value.includes(unit)
    ? called.value.filter((one) => one !== unit)
    : props.of === 'zones'
      ? [unit]
      : [...called.value, unit]
  before.value = null
  const coils = Object.fromEntries(view.value?.indoor.map((one) => [one.id, one.liquidPipe]) ?? [])
  await press(units.length === 0 ? 'off' : 'call', units)
  before.value = units.length === 0 ? null : { coils, at: Date.now(), units }
}

/** What it shows is put where it would be typed; what is typed there afterwards ends it. */
let put: Record<string, unknown> = {}
watch([view, follows], () => {
  if (!follows.value || view.value === null || !view.value.there) return
  put = followed(view.value)
  const known = (bench.prefill.value['indoor'] as { id?: unknown }[] | undefined) ?? []
  const more = view.value.indoor.map((one) => one.id).filter((one) => !known.some((k) => k.id === one))
  if (more.length > 0) bench.draft.value.rows['indoor'] = more
  Object.assign(bench.draft.value.values, put)
})
watch(
  () => Object.keys(put).every((at) => same(bench.draft.value.values[at], put[at])),
  (isAsShown) => {
    if (!isAsShown) follows.value = false
  },
)
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** A step of the plan with the four temperatures of the unit that was called last. */
function takeStep() {
  const unit = view.value?.indoor.find((one) => one.id === before.value?.units.at(-1))
  const boxes = (bench.context.value.items['boxes'] ?? []).map((box) => ({
    id: String(box['id']),
    indoor: Array.isArray(box['indoor']) ? box['indoor'].map(String) : [],
  }))
  if (unit === undefined) return
  const figures = {
    return_air: unit.returnAir,
    supply_air: unit.supplyAir,
    liquid_pipe: unit.liquidPipe,
    gas_pipe: unit.gasPipe,
  }
  const step = stepOf(called.value, boxes)
  for (const [name, text] of Object.entries(figures))
    bench.draft.value.values[`results.${step}.${name}`] = fromWire(text) as Typed
}

/** How far each coil went since one was called. */
function takeCall() {
  if (view.value === null || before.value === null) return
  const zone = view.value.indoor.find((one) => one.id === before.value?.units[0])?.zone ?? ''
  Object.assign(
    bench.draft.value.values,
    changes(view.value, before.value.coils, zone, session.units === 'us'),
  )
}
</script>

<template>
  <section v-if="view && (view.there || view.silent)" class="live" :aria-label="t('live.title')">
    <p v-if="!view.there" class="silent">{{ t('live.silent') }}</p>
    <template v-else>
      <div class="head">
        <output class="shown" :aria-label="t('live.shows')">{{ view.shown }}</output>
        <p>
          <b>{{ t('live.title') }}</b>
          {{ view.simulated ? t('live.simulated', { speed: view.speed }) : '' }}
          <span v-if="of === 'commission'">{{
            view.step === null
              ? t('live.rest')
              : t('live.step', { step: view.step + 1, of: steps, minutes: view.minutesInStep ?? 0 })
          }}</span>
          <span v-else>{{
            called.length === 0
              ? t('live.nobody')
              : t('live.called', { units: running.map(nameOf).join(', '), minutes: Math.floor(minutes) })
          }}</span>
        </p>
        <div v-if="session.may('record')" class="presses">
          <button
            v-if="of === 'commission'"
            type="button"
            class="press small"
            :aria-pressed="follows"
            @click="follows = !follows"
          >
            {{ t(follows ? 'live.follows' : 'live.follow') }}
          </button>
          <button
            v-else
            type="button"
            class="press small"
            :disabled="sending || before === null || minutes < ANSWERS"
            @click="of === 'plan' ? takeStep() : takeCall()"
          >
            {{ t(of === 'plan' ? 'live.takeStep' : 'live.takeCall') }}
          </button>
        </div>
      </div>
      <div v-if="session.may('record')" class="panel">
        <template v-if="of === 'commission'">
          <button
            v-for="unit in away"
            :key="unit.id"
            type="button"
            :disabled="sending"
            @click="press('power', [unit.id])"
          >
            {{ t('live.power', { unit: unit.id }) }}
          </button>
          <button v-if="view.step === null" type="button" :disabled="sending" @click="press('start')">
            {{ t('live.start') }}
          </button>
          <button
            v-else-if="isFault(view.shown, bench.prefill.value['script'])"
            type="button"
            :disabled="sending"
            @click="press('reset')"
          >
            {{ t('live.reset') }}
          </button>
        </template>
        <template v-else>
          <button
            v-for="unit in view.indoor"
            :key="unit.id"
            type="button"
            :disabled="sending"
            :aria-pressed="unit.called"
            @click="call(unit.id)"
          >
            {{ nameOf(unit) }}
            <small>{{ unit.liquidPipe.replace(' degC', ' °C') }}</small>
          </button>
          <button
            v-if="of === 'zones' && view.simulated"
            type="button"
            :disabled="sending"
            @click="press('repair')"
          >
            {{ t('live.repair') }}
          </button>
        </template>
      </div>
    </template>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  </section>
</template>

<style scoped>
.live {
  margin-bottom: 8px;
  padding: 8px 12px 10px;
  background: var(--pan);
  border-left: 4px solid var(--iron);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.head p {
  flex: 1 1 200px;
  margin: 0;
  font-size: 15px;
}
.head span {
  display: block;
}
.shown {
  min-width: 76px;
  padding: 2px 10px;
  background: var(--ink);
  color: var(--paper);
  font: 600 34px/1.2 var(--figures);
  text-align: center;
}
.panel:empty {
  display: none;
}
.panel {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.panel button {
  min-height: 44px;
  padding: 2px 12px;
  border: 2px solid var(--iron);
  background: none;
  font-size: 15px;
}
.panel button[aria-pressed='true'],
.presses button[aria-pressed='true'] {
  background: var(--iron);
  color: var(--paper);
}
.panel small {
  font-size: 14px;
}
.silent,
.failure {
  margin: 0;
  color: var(--stop);
}
</style>
