<script setup lang="ts">
import { computed, onMounted, ref, toRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import AskDialog from '@/components/AskDialog.vue'
import FoldLine from '@/components/FoldLine.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import AttachDialog from '@/screens/pocket/AttachDialog.vue'
import { useDraft } from '@/composables/useDraft'
import { useVerdict } from '@/composables/useVerdict'
import { wordsOf } from '@/lib/failure'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { usePocket } from '@/stores/pocket'
import { useSession } from '@/stores/session'
import {
  COVERS,
  freshOption,
  freshOptions,
  inputOf,
  isSame,
  type TypedOption,
  typedOf,
  type TypedOptions,
} from './options'

/** Ways to replace what is there, side by side on what is there; the choice is a person's, with a reason. */
const props = defineProps<{ id: number | null }>()
const { t } = useI18n()
const router = useRouter()
const machine = useMachine()
const checks = useChecks()
const session = useSession()
const pocket = usePocket()
const { draft, clear, put } = useDraft<TypedOptions>(`${props.id ?? 'pocket'}.options`, freshOptions)
const failure = ref('')
const pending = ref<Record<string, unknown> | null>(null)
const asksToTake = computed({ get: () => pending.value !== null, set: () => (pending.value = null) })
const chosen = ref<string | null>(null)
const why = ref('')
const ready = ref(false)
const fresh = JSON.stringify(freshOptions())
if (props.id === null) machine.leave()
const attaching = ref(false)
const recorded = computed(() =>
  machine.view?.tape.find((e) => e.check === 'survey.options' && e.suspect === ''),
)
onMounted(async () => {
  try {
    await Promise.all([checks.load(), props.id === null ? undefined : machine.load(props.id)])
    const [carried] = pocket.carried?.bench === 'options' ? pocket.carried.inputs : []
    if (carried !== undefined && props.id !== null) {
      pocket.drop()
      if (JSON.stringify(draft.value) === fresh) put(typedOf(carried))
      else pending.value = carried
    } else if (JSON.stringify(draft.value) === fresh && recorded.value !== undefined)
      put(typedOf(recorded.value.input as Record<string, unknown>))
  } catch (error) {
    failure.value = wordsOf(error)
  }
  ready.value = true
})
const input = computed(() => inputOf(draft.value, session.units))
const { verdict, problem } = useVerdict(
  toRef(() => 'survey.options'),
  input,
  ready,
)
const named = computed(() => draft.value.options.filter((option) => option.name.trim() !== ''))
const isRecorded = computed(() => recorded.value !== undefined && isSame(recorded.value.input, input.value))
const mayRecord = computed(
  () => props.id !== null && session.may('record') && verdict.value !== null && problem.value === null,
)
const judged = computed(() => problem.value === null && verdict.value?.status !== 'open')

const ROWS = [
  'capacity',
  'capacity_largest_out',
  'feeder_need',
  'new_circuits',
  'weight',
  'cost',
  'days',
] as const
type RowName = (typeof ROWS)[number]
const valueOf = (name: string) => verdict.value?.values[name]?.value
function shown(option: TypedOption, row: RowName): string {
  const at = named.value.indexOf(option)
  const value = at === -1 || !judged.value ? undefined : valueOf(`options.${at}.${row}`)
  if (typeof value !== 'number') return '–'
  const figure = Math.round(value).toLocaleString('en-US')
  const unit = {
    capacity: '%',
    capacity_largest_out: '%',
    feeder_need: ' A',
    weight: ` ${verdict.value?.values[`options.${at}.weight`]?.unit ?? ''}`,
  }
  return `${figure}${(unit as Record<string, string>)[row] ?? ''}`
}
function isBest(option: TypedOption, row: RowName): boolean {
  const best = judged.value ? valueOf(`best.${row}`) : undefined
  return Array.isArray(best) && named.value.length > 1 && best.includes(option.name.trim())
}
function stateOf(option: TypedOption): string {
  const at = named.value.indexOf(option)
  const status = at === -1 || !judged.value ? undefined : valueOf(`options.${at}.status`)
  return typeof status === 'string' ? status : ''
}
/** What speaks against an option, in the verdict's own words. */
const against = (option: TypedOption) =>
  [verdict.value?.headline ?? '', ...(verdict.value?.because ?? [])].filter(
    (line) =>
      judged.value &&
      option.name.trim() !== '' &&
      line.toLowerCase().startsWith(option.name.trim().toLowerCase()),
  )
const isMarked = (path: string) => problem.value !== null && String(problem.value.field).startsWith(path)
const sentence = computed(() => {
  if (problem.value !== null) {
    const told = problem.value.detail.replace(/^[a-z_.0-9]+: /, '')
    return told.charAt(0).toUpperCase() + told.slice(1)
  }
  return verdict.value?.headline ?? t('options.wait')
})

function add() {
  draft.value.options.push(freshOption())
}

function drop(i: number) {
  draft.value.options.splice(i, 1)
}

async function replace() {
  if (pending.value !== null) put(typedOf(pending.value))
}

async function keep() {
  failure.value = ''
  if (props.id === null) return
  const compared = { check: 'survey.options', subject: 'machine', input: input.value }
  const said = { label: t('tabs.options'), words: verdict.value?.headline ?? '' }
  const choice =
    chosen.value === null
      ? []
      : [
          {
            check: 'entry.option_chosen',
            subject: 'machine',
            input: { option: chosen.value, why: why.value.trim() },
          },
        ]
  try {
    const sent = await machine.recordTogether([compared, ...choice], {}, said)
    if (sent === null) return
    clear()
    await machine.load(props.id)
    if (choice.length > 0) await router.push({ name: 'machine', params: { id: props.id } })
    else if (recorded.value !== undefined) put(typedOf(recorded.value.input as Record<string, unknown>))
  } catch (error) {
    failure.value = wordsOf(error)
  }
}
watch(named, (now) => {
  if (chosen.value !== null && !now.some((one) => one.name.trim() === chosen.value)) chosen.value = null
})
</script>

<template>
  <div class="options">
    <header>
      <p class="caption">
        <RouterLink v-if="id === null" :to="{ name: 'pocket' }">{{ t('pocket.title') }}</RouterLink>
        <RouterLink v-else :to="{ name: 'machine', params: { id } }">{{
          machine.view?.name ?? ''
        }}</RouterLink>
      </p>
      <h1>{{ t('options.title') }}</h1>
      <VerdictLine
        :status="problem ? 'open' : (verdict?.status ?? 'open')"
        :sentence="sentence"
        :said="t(`status.${(problem ? 'open' : (verdict?.status ?? 'open')) as 'open'}`)"
      />
      <FoldLine :verdict="verdict" />
    </header>
    <form class="there" @submit.prevent>
      <h2>{{ t('options.there') }}</h2>
      <label :class="{ wrong: isMarked('required_tons') }"
        >{{ t('options.tons') }} <span>{{ session.units === 'us' ? 'ton' : 'kW' }}</span><input
          v-model="draft.tons"
          inputmode="decimal"
      /></label>
      <label :class="{ wrong: isMarked('existing.feeder_ampacity') }"
        >{{ t('options.feeder') }} <span>A</span><input v-model="draft.feeder" inputmode="decimal"
      /></label>
      <label :class="{ wrong: isMarked('existing.feeder_breaker') }"
        >{{ t('options.breaker') }} <span>A</span><input v-model="draft.breaker" inputmode="decimal"
      /></label>
      <label :class="{ wrong: isMarked('existing.voltage') }"
        >{{ t('options.volts') }} <span>V</span><input v-model="draft.volts" inputmode="decimal"
      /></label>
      <label
        >{{ t('options.phases')
        }}<select v-model.number="draft.phases">
          <option :value="3">{{ t('options.three') }}</option>
          <option :value="1">{{ t('options.single') }}</option>
        </select></label
      >
      <label>{{ t('options.circuits') }}<input v-model="draft.circuits" inputmode="numeric" /></label>
      <label
        >{{ t('options.oldWeight') }} <span>{{ session.units === 'us' ? 'lb' : 'kg' }}</span><input
          v-model="draft.weight"
          inputmode="decimal"
      /></label>
      <label>{{ t('options.rate') }}<input v-model="draft.rate" inputmode="decimal" /></label>
    </form>
    <section class="sides" :aria-label="t('options.title')">
      <article v-for="(option, i) in draft.options" :key="i" :class="stateOf(option)">
        <div class="head">
          <input
            v-model="option.name"
            class="name"
            maxlength="120"
            :placeholder="t('options.name')"
            :aria-label="t('options.name')"
          />
          <button
            v-if="draft.options.length > 1"
            type="button"
            class="less"
            :aria-label="t('options.drop', { name: option.name })"
            @click="drop(i)"
          >
            ✕
          </button>
        </div>
        <dl>
          <template v-for="row in ROWS" :key="row">
            <dt>{{ t(`options.row.${row}`) }}</dt>
            <dd :class="{ best: isBest(option, row) }">
              {{ shown(option, row)
              }}<span v-if="isBest(option, row)" class="sr-only">, {{ t('options.best') }}</span>
            </dd>
          </template>
        </dl>
        <ul v-if="against(option).length > 0" class="against">
          <li v-for="line in against(option)" :key="line">{{ line }}</li>
        </ul>
        <label v-if="mayRecord && judged && option.name.trim() !== ''" class="choose">
          <input v-model="chosen" type="radio" name="chosen" :value="option.name.trim()" />
          {{ t('options.choose') }}
        </label>
        <div class="boxes">
          <label>{{ t('options.count') }}<input v-model="option.count" inputmode="numeric" /></label>
          <label
            >{{ t('options.each') }} <span>{{ session.units === 'us' ? 'ton' : 'kW' }}</span><input
              v-model="option.tons"
              inputmode="decimal"
          /></label>
          <label
            >{{ t('options.phases')
            }}<select v-model.number="option.phases">
              <option :value="3">{{ t('options.three') }}</option>
              <option :value="1">{{ t('options.single') }}</option>
            </select></label
          >
          <label>MCA <span>A</span><input v-model="option.mca" inputmode="decimal" /></label>
          <label>MOCP <span>A</span><input v-model="option.mocp" inputmode="decimal" /></label>
          <label
            >{{ t('options.weight') }} <span>{{ session.units === 'us' ? 'lb' : 'kg' }}</span><input
              v-model="option.weight"
              inputmode="decimal"
          /></label>
          <label>{{ t('options.equipment') }}<input v-model="option.equipment" inputmode="decimal" /></label>
          <label>{{ t('options.hours') }}<input v-model="option.hours" inputmode="decimal" /></label>
          <label>{{ t('options.days') }}<input v-model="option.days" inputmode="decimal" /></label>
        </div>
        <div v-for="(work, w) in option.extra" :key="w" class="extra">
          <input
            v-model="work.what"
            maxlength="120"
            :placeholder="t('options.work')"
            :aria-label="t('options.work')"
          />
          <input v-model="work.cost" inputmode="decimal" :aria-label="t('options.cost')" />
          <select v-model="work.covers" :aria-label="t('options.covers')">
            <option v-for="one in COVERS" :key="one" :value="one">{{ t(`options.cover.${one}`) }}</option>
          </select>
        </div>
        <button
          type="button"
          class="link"
          @click="option.extra.push({ what: '', cost: '', covers: 'feeder' })"
        >
          {{ t('options.addWork') }}
        </button>
      </article>
      <button v-if="draft.options.length < 6" type="button" class="press small more" @click="add">
        {{ t('options.add') }}
      </button>
    </section>
    <footer>
      <label v-if="chosen !== null" class="why"
        >{{ t('options.why', { name: chosen }) }}<input v-model="why" maxlength="120"
      /></label>
      <template v-if="id === null">
        <button
          v-if="session.may('record')"
          type="button"
          class="press"
          :disabled="problem !== null || named.length === 0"
          @click="attaching = true"
        >
          {{ t('pocket.attach') }}
        </button>
        <button type="button" class="press small" @click="clear">{{ t('pocket.clear') }}</button>
      </template>
      <button
        v-else-if="session.may('record')"
        type="button"
        class="press forge"
        :disabled="
          !mayRecord ||
          machine.sending ||
          (chosen !== null && why.trim() === '') ||
          (chosen === null && isRecorded)
        "
        @click="keep"
      >
        {{ t(chosen === null ? 'bench.record' : 'options.take') }}
      </button>
      <a
        v-if="recorded !== undefined"
        class="press small"
        :href="`/api/v1/machines/${id}/pages/options.pdf`"
        target="_blank"
        >{{ t('options.pdf') }}</a
      >
      <RouterLink
        v-if="recorded !== undefined"
        class="press small"
        :to="{ name: 'record', params: { id } }"
        >{{ t('options.link') }}</RouterLink
      >
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </footer>
    <AttachDialog v-model="attaching" :carried="() => ({ bench: 'options', inputs: [input] })" />
    <AskDialog
      v-model="asksToTake"
      :title="t('pocket.typed')"
      :submit="t('pocket.replace')"
      :incomplete="false"
      :send="replace"
    >
      <p>{{ t('pocket.typedWhat') }}</p>
    </AskDialog>
  </div>
</template>

<style scoped>
.options {
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / 210px minmax(0, 1fr);
  gap: 0 20px;
  height: 100%;
  padding: 12px 20px 0;
}
header {
  grid-column: 1 / -1;
}
h1 {
  font-size: 32px;
}
h2 {
  font: 600 20px/1.2 var(--figures);
}
.there,
.sides {
  min-height: 0;
  overflow: auto;
  padding: 10px 2px;
}
.there {
  display: grid;
  align-content: start;
  gap: 6px;
}
label {
  display: block;
  font-size: 14.5px;
  color: var(--iron-soft);
}
label span {
  float: right;
}
input,
select {
  width: 100%;
  min-width: 0;
  height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  font: 600 20px/1 var(--figures);
  color: var(--ink);
}
.wrong input {
  border-color: var(--stop);
}
.sides {
  display: flex;
  gap: 14px;
  align-items: flex-start;
}
article {
  flex: 1 1 0;
  min-width: 250px;
  max-width: 340px;
  padding: 0 0 10px;
  border-top: 4px solid var(--rule);
}
article.stop {
  border-color: var(--stop);
}
article.watch {
  border-color: var(--watch);
}
article.clear {
  border-color: var(--clear);
}
.head {
  display: flex;
}
.name {
  border-color: transparent;
  border-bottom-color: var(--rule);
  font-size: 22px;
}
.less {
  flex: none;
  width: 44px;
  border: 0;
  background: none;
  color: var(--iron-soft);
}
.boxes {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 6px;
  padding: 6px 0;
}
.boxes input,
.boxes select {
  padding: 0 4px;
  font-size: 19px;
}
.extra {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 4px;
  padding-bottom: 4px;
}
.extra input,
.extra select {
  font-size: 17px;
}
.link {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  font-size: 15px;
  text-decoration: underline;
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  margin: 4px 0;
}
dt,
dd {
  margin: 0;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
dt {
  font-size: 15px;
  color: var(--iron-soft);
}
dd {
  font: 600 20px/1.2 var(--figures);
  text-align: right;
}
.best {
  border-color: var(--clear);
  box-shadow: 0 2px 0 var(--clear);
}
.against {
  margin: 6px 0;
  padding-left: 10px;
  border-left: 4px solid var(--watch);
  list-style: none;
  font-size: 15px;
}
.stop .against {
  border-color: var(--stop);
}
.choose {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  font-size: 16px;
  color: var(--ink);
}
.choose input {
  width: 22px;
  height: 22px;
}
.more {
  flex: none;
}
footer {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 8px 0 12px;
  border-top: 1px solid var(--rule);
}
.why {
  flex: 1 1 320px;
  color: var(--ink);
}
.failure {
  color: var(--stop);
}
@media (max-width: 900px) {
  .options {
    display: block;
    overflow: auto;
    padding: 10px 14px;
  }
  .there {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .there h2 {
    grid-column: 1 / -1;
  }
  .sides {
    display: block;
  }
  article {
    max-width: none;
    margin-bottom: 16px;
  }
}
</style>
