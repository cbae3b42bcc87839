<script setup lang="ts">
import { ElMessage } from 'element-plus'
import { computed, ref, toRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { CheckView, Drawing, TapeEntry, Verdict } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import FoldLine from '@/components/FoldLine.vue'
import PhotoPick from '@/components/PhotoPick.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { useDraft } from '@/composables/useDraft'
import { useVerdict } from '@/composables/useVerdict'
import DrawnShape from '@/drawings/DrawnShape.vue'
import { inUnit, withoutPlaces } from '@/drawings/scene'
import { wordsOf } from '@/lib/failure'
import { onward } from '@/lib/onward'
import { firstUnit } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { fieldOf, itemsOf, placeOf, provideBench } from './bench'
import { useCorrecting } from './correcting'
import { type Draft, draftOf, freshDraft, inputOf, isPristine } from './entered'
import InstrumentPick from './InstrumentPick.vue'
import NextLine from './NextLine.vue'
import { useGathered } from './gathered'
import { useOpening } from './opening'
import SheetAdd from './SheetAdd.vue'
import PastEntry from './PastEntry.vue'
import { typedOver } from './plate'
import BenchRows from './rows/BenchRows.vue'
import { appliesIn, type BenchSpec, type Context, isOfParts } from './spec'

/**
 * A bench from its spec: the verdict while typing and its first step, the readings and the drawing side by side, the
 * reasons, and the one button. While nothing is typed it shows what was recorded last, as past.
 */
const props = defineProps<{ spec: BenchSpec }>()
const emit = defineEmits<{ recorded: [status: string]; dropCorrection: []; attach: [] }>()
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
const { draft, clear, put } = useDraft<Draft>(
  `${machine.view?.id ?? 'pocket'}.bench.${props.spec.id}`,
  freshDraft,
)

type Filled = Record<string, Record<string, Record<string, unknown>>>
/** What kind of part it is about; on a system with indoor units some benches are about one of those. */
const kind = computed(() =>
  props.spec.indoor === true && (machine.view?.parts ?? []).some((part) => part.startsWith('indoor:'))
    ? 'indoor'
    : (props.spec.parts[0]?.subject ?? 'machine'),
)
const isOfPart = computed(() => kind.value === 'indoor' || isOfParts(props.spec))
/** The compressors or circuits it can be about, those still asked for first chosen. */
const abouts = computed(() =>
  isOfPart.value
    ? (machine.view?.parts ?? [])
        .filter((p) => p.startsWith(`${kind.value}:`))
        .map((p) => p.slice(kind.value.length + 1))
    : [],
)
const about = computed({
  get: () => {
    const asked = machine.view?.gates
      .flatMap((gate) => gate.missing)
      .find((m) => m.check === props.spec.parts[0]?.check)
      ?.subject.split(':')[1]
    return draft.value.about ?? asked ?? abouts.value[0]
  },
  set: (next) => (draft.value.about = next),
})
const aboutOptions = computed(() => abouts.value.map((name) => ({ value: name, text: name })))
/** The part between closed valves that is tried by itself; a blank is the whole. */
const section = computed({
  get: () => draft.value.section ?? '',
  set: (next) => (draft.value.section = next.replaceAll('/', ' ')),
})
const subjectOf = (subject: string) => {
  if (!isOfPart.value) return subject
  const whole = about.value === undefined ? 'machine' : `${kind.value}:${about.value}`
  return section.value.trim() === '' ? whole : `${whole}/${section.value.trim()}`
}
/** Names that were given before. */
const sections = computed(() => [
  ...new Set(
    (machine.view?.tape ?? []).flatMap((e) =>
      e.check === first.value.check && e.subject.includes('/') ? [e.subject.split('/')[1] ?? ''] : [],
    ),
  ),
])
const views = computed(() =>
  props.spec.parts.flatMap((part): CheckView[] => {
    const view = checks.check(part.check)
    return view === undefined ? [] : [view]
  }),
)
const pristine = computed(() => isPristine(draft.value))
const applies = computed(() =>
  appliesIn(props.spec, { draft: draft.value, tape: machine.view?.tape ?? [], items: {} }),
)
const gathered = useGathered(props.spec)
const parts = computed(() =>
  props.spec.parts.map((part, i) => {
    const subject = subjectOf(part.subject)
    // A section nobody tried yet has what its circuit has.
    const filled = (machine.view?.prefill as Filled | undefined)?.[part.check] ?? {}
    const known = filled[subject] ?? filled[`${subject.split('/')[0]}/`] ?? {}
    const prefill =
      props.spec.gathers === 'job' ? { ...known, ...gathered.value } : { ...gathered.value, ...known }
    const view = views.value[i]
    return {
      check: part.check,
      subject,
      prefill,
      input: view === undefined ? {} : inputOf(view, prefill, draft.value, part.fixed, applies.value),
    }
  }),
)
const first = computed(() => parts.value[0] ?? { check: '', subject: 'machine', prefill: {}, input: {} })
const second = computed(() => parts.value[1])

const last = computed<TapeEntry | undefined>(() =>
  machine.view?.tape.find(
    (e) =>
      e.check === first.value.check &&
      e.subject === first.value.subject &&
      e.suspect === '' &&
      e.kind === 'check',
  ),
)
/** What is gathered anew is judged anew. */
const past = computed(() => (pristine.value && props.spec.gathers !== 'job' ? last.value : undefined))
const pastSecond = computed(() =>
  past.value === undefined
    ? undefined
    : machine.view?.tape.find(
        (e) => e.check === second.value?.check && e.subject === second.value.subject && e.suspect === '',
      ),
)
const live = computed(() => past.value === undefined)
const main = useVerdict(
  toRef(() => first.value.check),
  computed(() => first.value.input),
  live,
)
const other =
  props.spec.parts.length < 2
    ? null
    : useVerdict(
        toRef(() => second.value?.check ?? ''),
        computed(() => second.value?.input ?? {}),
        live,
      )
const WEIGHT: Record<string, number> = { clear: 0, watch: 1, open: 2, stop: 3 }

/** The one that explains the other speaks alone when it stops; else the graver of the two speaks first. */
const leads = computed(() => {
  const [a, b] = [main.verdict.value, other?.verdict.value ?? null]
  if (a === null || b === null) return a
  const explains = b.check === props.spec.explains && ['stop', 'watch'].includes(b.status)
  return explains && b.status === 'stop' ? b : (WEIGHT[b.status] ?? 0) > (WEIGHT[a.status] ?? 0) ? b : a
})
const follows = computed(() =>
  leads.value === main.verdict.value ? (other?.verdict.value ?? null) : main.verdict.value,
)
const speaksAlone = computed(
  () =>
    leads.value?.status === 'stop' ||
    leads.value?.status === 'open' ||
    follows.value === null ||
    follows.value.status === 'open',
)
const opening = useOpening(
  props.spec.act,
  about,
  computed(() => first.value.input.released),
)
const problem = computed(() => main.problem.value ?? other?.problem.value ?? null)
/** Without signal nothing can be judged: it is kept as it is and judged when it arrives. */
const blind = computed(() => !machine.reachable && leads.value === null && !pristine.value)
const status = computed(() => {
  if (opening.refused.value) return 'stop'
  return problem.value !== null ? 'open' : (leads.value?.status ?? 'open')
})
const sentence = computed(() => {
  if (opening.refused.value) return t('opening.shut')
  if (problem.value !== null) {
    const at = String(problem.value.field ?? '')
    const label = fieldOf(views.value, withoutPlaces(at))?.label
    // A row that is begun and not yet whole says what it lacks, not how it is written.
    if (label !== undefined && /: is required\./.test(problem.value.detail))
      return t('bench.stillNeed', { what: label.toLowerCase() })
    return words(problem.value.detail)
  }
  if (blind.value) return t('bench.blind')
  if (leads.value === null) return t('bench.wait')
  return speaksAlone.value ? leads.value.headline : `${leads.value.headline} ${follows.value?.headline ?? ''}`
})
const steps = computed(() => {
  if (opening.refused.value) return opening.reasons.value
  if (problem.value !== null || leads.value === null) return []
  const others = speaksAlone.value ? [] : (follows.value?.next ?? [])
  return [...new Set([...leads.value.next, ...others])]
})
/** The question that is not open yet for what is read here; '' where all are that have to be. */
const early = computed(() => {
  const shut = parts.value
    .map((p) => machine.view?.tooEarly[`${p.check}:${p.subject.split('/')[0]}`])
    .find((gate) => gate !== undefined)
  return machine.view?.gates.find((gate) => gate.gate === shut)?.name ?? ''
})
/** Figures of the sheet that were typed over: the record wants to know why. */
const over = computed(() =>
  pristine.value
    ? []
    : parts.value.flatMap((one) =>
        typedOver(
          (machine.view?.plate as Record<string, Record<string, Record<string, string>>> | undefined)?.[
            one.check
          ]?.[one.subject],
          one.input,
        ),
      ),
)
const why = computed(() => {
  const [over1] = over.value
  if (over1 !== undefined) return t('bench.plate', { sheet: over1.sheet, typed: over1.typed })
  return early.value !== '' && !pristine.value ? t('bench.outOfOrder', { gate: early.value }) : ''
})
const context = computed<Context>(() => ({
  draft: draft.value,
  tape: machine.view?.tape ?? [],
  items: Object.assign({}, ...parts.value.map((p) => itemsOf(p.input))) as Context['items'],
}))
/** What has to be told before it may be recorded. */
const blocked = computed(() => {
  if (pristine.value) return ''
  const untold = views.value.flatMap((view, i) =>
    view.fields.filter((f) => f.told && parts.value[i]?.input[f.name] === undefined).map((f) => f.label),
  )
  if (untold.length > 0) return t('bench.tell', { what: untold.join(', ').toLowerCase() })
  const names = props.spec.untold?.(context.value) ?? []
  return names.length > 0 ? t('bench.tellHours', { names: names.join(', ') }) : ''
})
const instrumentKind = computed(
  () =>
    views.value
      .flatMap((view) => [...view.fields, ...view.fields.flatMap((f) => f.fields)])
      .find((f) => f.instrument !== '' && !f.brought)?.instrument ?? '',
)
const buttonText = computed(() => {
  if (machine.sending) return t('bench.recording')
  if (props.spec.act === 'valves') return t('opening.press')
  if (status.value === 'stop') return t('bench.recordStop')
  return status.value === 'open' ? t('bench.recordOpen') : t('bench.record')
})
/** At no machine it is judged, and recorded nowhere. */
const adrift = computed(() => machine.view === null)
const mayRecord = computed(() => session.may('record') && !adrift.value)
const ready = computed(
  () =>
    (!pristine.value || (live.value && status.value !== 'open')) &&
    problem.value === null &&
    !opening.refused.value &&
    (leads.value !== null || blind.value) &&
    blocked.value === '' &&
    (over.value.length === 0 || reason.value.trim() !== '') &&
    !machine.sending &&
    mayRecord.value,
)
const drawn = computed(() => (past.value ?? main.verdict.value)?.drawing as Drawing | undefined)
const drawnSecond = computed(() => (pastSecond.value ?? other?.verdict.value)?.drawing as Drawing | undefined)
const shownInput = computed(() => past.value?.input ?? first.value.input)
/** More than these are picked from a list. */
const MANY = 6
const BASES = ['loaded', 'old_disconnect']
const reminders = computed(() => {
  const base = BASES.find((one) => one === first.value.subject) ?? 'machine'
  return machine.view?.cautions?.[`${first.value.check}:${base}`]
})
const sketched = computed(
  () => (past.value ?? main.verdict.value) as Pick<Verdict, 'values' | 'drawing' | 'status'> | null,
)

/** The server's word for a value, without the name of the key. */
function words(detail: string): string {
  const told = detail.replace(/^[a-z_.0-9]+: /, '')
  return told.charAt(0).toUpperCase() + told.slice(1)
}

function problemAt(at: string): string {
  const found = [main.problem.value, other?.problem.value ?? null].find((p, i) => {
    const [view, part] = [views.value[i], parts.value[i]]
    return (
      p?.field !== undefined &&
      view !== undefined &&
      part !== undefined &&
      placeOf(view, String(p.field), part.prefill, draft.value) === at
    )
  })
  return found === undefined || found === null ? '' : words(found.detail)
}
/** Where on the drawing something does not work: the measure the server named. */
const wrong = computed(() =>
  problem.value === null ? undefined : { field: String(problem.value.field), words: sentence.value },
)

/** A measure was drawn to another size: it stands in its box as if it had been typed. */
function drag(path: string, metres: number) {
  const view = views.value[0]
  const field = view === undefined ? undefined : fieldOf([view], withoutPlaces(path))
  if (view === undefined || field === undefined) return
  const at = placeOf(view, path, first.value.prefill, draft.value)
  const now = draft.value.values[at]
  const unit =
    typeof now === 'object' && now.unit !== ''
      ? now.unit
      : firstUnit(field, session.units, session.person?.fieldUnits ?? {})
  draft.value.values[at] = { text: inUnit(metres, unit), unit }
}
const missing = computed(
  () =>
    new Set(
      [main.verdict.value, other?.verdict.value ?? null]
        .flatMap((v) => v?.codes ?? [])
        .flatMap((c) => (c.startsWith('missing:') ? [c.slice(8)] : [])),
    ),
)

provideBench({
  spec: props.spec,
  subject: computed(() => first.value.subject),
  checks: views,
  draft,
  context,
  prefill: computed(() => Object.assign({}, ...parts.value.map((p) => p.prefill)) as Record<string, unknown>),
  problemAt,
  field: (path) => fieldOf(views.value, path),
  missing,
})

/** Pressed before the verdict was there: it is recorded as soon as it is, unless something else was typed meanwhile. */
const pressed = ref(false)
watch(
  () => JSON.stringify(draft.value),
  () => (pressed.value = false),
)
watch(leads, (told) => {
  if (told === null || !pressed.value) return
  pressed.value = false
  void record()
})

async function record() {
  if (!ready.value) {
    if (!pristine.value && leads.value === null && problem.value === null && mayRecord.value) {
      pressed.value = true
      return
    }
    root.value?.querySelector<HTMLInputElement>('.figure')?.focus()
    return
  }
  failure.value = ''
  const kept = leads.value?.status ?? 'open'
  const sentParts = parts.value.map((one) => ({
    check: one.check,
    subject: one.subject,
    input: one.input,
    ...(correcting?.value?.check === one.check ? { supersedes: correcting.value.at } : {}),
  }))
  const beside = {
    ...(instrument.value === undefined ? {} : { instrument: instrument.value }),
    ...(reason.value === '' ? {} : { reason: reason.value }),
    ...(draft.value.source === undefined ? {} : { source: draft.value.source }),
    ...(props.spec.act && opening.unsure.value ? { unchecked: true } : {}),
  }
  const said = { label: views.value[0]?.short ?? props.spec.id, words: leads.value?.headline ?? '' }
  try {
    const [one] = sentParts
    if (one === undefined) return
    const { check, ...body } = one
    const sent =
      sentParts.length === 1
        ? await machine.record(check, { ...body, ...beside }, said)
        : await machine.recordTogether(sentParts, beside, said)
    if (sent === null) return
    for (const photo of photos.value)
      void machine
        .photograph(photo, sent, '', { label: t('photo.one'), words: '' })
        .catch((error: unknown) => (failure.value = wordsOf(error)))
    reason.value = ''
    photos.value = []
    ElMessage({
      message: t(sent.at === null ? 'bench.waits' : 'bench.recorded'),
      duration: 1500,
      grouping: true,
    })
    const { began } = draft.value
    clear()
    // A series that goes on counts from its first reading.
    if (kept === 'open' && began !== undefined) draft.value.began = began
    emit('recorded', kept)
  } catch (error) {
    failure.value = wordsOf(error)
  }
}

function dropCorrection() {
  clear()
  emit('dropCorrection')
}

/** What was recorded, or read at no machine, stands as if it had been typed here. */
function correct(entry: Pick<TapeEntry, 'check' | 'subject' | 'input'>) {
  const i = props.spec.parts.findIndex((part) => part.check === entry.check)
  const view = views.value[i]
  if (view === undefined) return
  const [whole, part] = entry.subject.split('/')
  const name = isOfPart.value ? whole?.split(':')[1] : undefined
  const prefill = (machine.view?.prefill as Filled | undefined)?.[entry.check]?.[entry.subject] ?? {}
  put({
    ...draftOf(view, prefill, entry.input as Record<string, unknown>),
    ...(name === undefined ? {} : { about: name }),
    ...(part === undefined ? {} : { section: part }),
  })
}

/** Several checks of one bench, each over what the bench has of its own. */
function take(inputs: Record<string, unknown>[]) {
  const drafts = parts.value.flatMap((part, i) => {
    const view = views.value[i]
    return view === undefined ? [] : [draftOf(view, part.prefill, inputs[i] ?? {})]
  })
  put({
    ...freshDraft(),
    values: Object.assign({}, ...drafts.map((one) => one.values)) as Draft['values'],
    rows: Object.assign({}, ...drafts.map((one) => one.rows)) as Draft['rows'],
  })
}

/** Enter goes on to the next empty reading; from the last one to the button. */
watch(about, () => (failure.value = ''))

/** What the bench holds, a check each. */
const typed = () => parts.value.map((one) => one.input)

defineExpose({ record, correct, take, typed, isPristine: () => pristine.value })
</script>

<template>
  <div
    ref="root"
    class="frame"
    @keydown.enter="onward($event, root, () => button)"
    @keydown.esc="($event.target as HTMLElement).blur()"
  >
    <div class="top">
      <template v-if="past">
        <PastEntry :entry="past" />
        <NextLine v-if="past.status !== 'clear'" :steps="past.next" past />
      </template>
      <template v-else>
        <VerdictLine
          :status="status"
          :sentence="sentence"
          :said="t(`status.${status as 'clear' | 'watch' | 'stop' | 'open'}`)"
          :note="leads?.marginal ? `(${t('bench.close')})` : ''"
        />
        <NextLine :steps="steps" />
      </template>
    </div>
    <div
      class="body"
      :class="{
        list: spec.rows[0]?.row === 'walked',
        bare: spec.undrawn,
        drawn: spec.scaled && !spec.over,
        over: spec.over,
      }"
    >
      <div class="right">
        <label v-if="aboutOptions.length > MANY" class="section">
          <span>{{ t(`about.${kind as 'compressor'}`) }}</span>
          <select v-model="about">
            <option v-for="one in aboutOptions" :key="one.value" :value="one.value">{{ one.text }}</option>
          </select>
        </label>
        <ChoiceField
          v-else-if="aboutOptions.length > 1"
          v-model="about"
          :label="t(`about.${kind as 'compressor'}`)"
          :options="aboutOptions"
        />
        <p v-else-if="isOfPart && about" class="about">
          {{ t(`about.${kind as 'compressor'}`) }} {{ about }}
        </p>
        <label v-if="spec.sections && machine.view" class="section">
          <span
            >{{ t('bench.section') }}<small>{{ t('bench.sectionHint') }}</small></span
          >
          <input v-model="section" list="sections" maxlength="40" autocomplete="off" />
          <datalist id="sections">
            <option v-for="one in sections" :key="one" :value="one" />
          </datalist>
        </label>
        <BenchRows />
        <InstrumentPick v-if="instrumentKind && mayRecord" v-model="instrument" :kind="instrumentKind" />
      </div>
      <div class="left" :class="{ past: past && !spec.board }">
        <component :is="spec.sketch" v-if="spec.sketch" :verdict="sketched" :input="shownInput" />
        <DrawnShape
          v-else-if="spec.rows[0]?.row !== 'walked'"
          :drawing="drawn"
          :second="drawnSecond"
          :wrong="past ? undefined : wrong"
          :label="(path: string) => fieldOf(views, withoutPlaces(path))?.label ?? ''"
          :fixed="past !== undefined || !(mayRecord || adrift)"
          @drag="drag"
        />
        <p v-if="spec.scaled && (drawn?.shape ?? '') === ''" class="blank">{{ t('drawing.blank') }}</p>
        <FoldLine v-if="!past" :verdict="leads" :job="reminders" />
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
      <p v-else-if="early" class="caption early">{{ t('bench.early', { gate: early }) }}</p>
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
      <template v-else-if="adrift">
        <button
          v-if="session.may('record')"
          type="button"
          class="press"
          :disabled="pristine || problem !== null"
          @click="emit('attach')"
        >
          {{ t('pocket.attach') }}
        </button>
        <button type="button" class="press small" :disabled="pristine" @click="clear">
          {{ t('pocket.clear') }}
        </button>
      </template>
      <p v-else class="caption">{{ t('bench.cantRecord') }}</p>
      <PhotoPick v-if="mayRecord" v-model="photos" />
      <SheetAdd v-if="mayRecord && !pristine && problem === null" :parts="parts" :views="views" />
      <template v-if="spec.page && last">
        <a
          v-for="form in ['pdf', 'svg']"
          :key="form"
          class="press small"
          target="_blank"
          :href="`/api/v1/machines/${machine.view?.id}/pages/${spec.page}.${form}`"
          >{{ t(`record.page.${spec.page}`) }} ({{ form.toUpperCase() }})</a
        >
      </template>
      <p
        v-if="failure || blocked"
        class="failure"
        :class="{ blocked: !failure }"
        :role="failure ? 'alert' : undefined"
      >
        {{ failure || blocked }}
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
.body.drawn {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.body.bare,
.body.over {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
}
.body.over .left {
  position: static;
}
.body.bare .left {
  order: 1;
}
.body.list {
  grid-template-columns: minmax(0, 1fr) minmax(0, 5fr);
}
.body.list .left {
  display: none;
}
.body.list .right {
  grid-column: 1 / -1;
}
.left,
.right {
  min-width: 0;
}
.right {
  /* What only a screen reader hears scrolls with its row, not with the page. */
  position: relative;
}
.left {
  position: sticky;
  top: 0;
  align-self: start;
  order: -1;
}
.left.past {
  opacity: 0.45;
  filter: grayscale(1);
}
.blank {
  display: grid;
  place-items: center;
  min-height: 180px;
  border: 2px dashed var(--rule);
  text-align: center;
  font-size: 15px;
  color: var(--iron-soft);
}
.about {
  font: 600 20px/1.2 var(--figures);
}
.section {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(150px, 1fr);
  align-items: center;
  gap: 2px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 16px;
  line-height: 1.2;
}
.section small {
  display: block;
  font-size: 13.5px;
  color: var(--iron-soft);
}
.section input,
.section select {
  min-width: 0;
  height: 48px;
  padding: 0 8px;
  border: 2px solid var(--iron);
  background: var(--box);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  padding: 10px 0 12px;
  border-top: 1px solid var(--rule);
}
.failure {
  flex: 1;
  min-width: 160px;
  color: var(--stop);
}
.failure.blocked,
.early {
  color: var(--forge-text);
}
.early {
  flex-basis: 100%;
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
  .top {
    position: sticky;
    top: 0;
    z-index: 3;
    background: var(--paper);
  }
  .body {
    display: block;
    overflow: visible;
  }
  .left {
    position: static;
    margin-top: 12px;
  }
  .foot {
    position: sticky;
    bottom: 0;
    z-index: 3;
    gap: 4px 10px;
    padding: 6px 0;
    background: var(--paper);
  }
  .foot > .forge {
    flex: 1;
  }
}
</style>
