<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { problemOf, type FieldView, type ProblemView, type Schemas } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import { fits, remembered } from '@/lib/instruments'
import { post } from '@/lib/post'
import { shownUnit } from '@/lib/reading'
import { clock, day } from '@/lib/time'
import { useMachine } from '@/stores/machine'
import {
  fitsFile,
  FORMS,
  HAS_DAY,
  isWhole,
  line,
  readingsOf,
  roleOf,
  withRole,
  type LoggerRead,
  type Mapping,
} from './logger'

/**
 * A logger's file into a list of readings: looked at, its columns named by whoever knows them, read, and taken. What the
 * file seems to be is proposed and nothing is read before it is said; the answer stays with the instrument.
 */
const props = defineProps<{ check: string; list: FieldView }>()
const emit = defineEmits<{ take: [points: LoggerRead['points'], mapping: Mapping, source: string] }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const file = ref<File | null>(null)
const top = ref<string[][]>([])
const mapping = ref<Mapping | null>(null)
const read = ref<LoggerRead | null>(null)
const problem = ref<ProblemView | null>(null)
const isRemembered = ref(false)
const from = ref('')
const to = ref('')
const readings = computed(() => readingsOf(props.list))
const kind = computed(() => readings.value.find((field) => field.instrument !== '')?.instrument ?? '')
const instruments = computed(() => {
  const all = machine.view?.instruments ?? []
  const some = all.filter((one) => fits(kind.value, one.kind))
  return some.length > 0 ? some : all
})
const instrument = ref<number | undefined>(undefined)
const width = computed(() => Math.max(0, ...top.value.map((row) => row.length)))
const ZONES = Intl.supportedValuesOf('timeZone')
const zones = computed(() => [...new Set([mapping.value?.zone ?? '', ...ZONES])].filter(Boolean))

watch(open, (on) => {
  if (!on) return
  file.value = mapping.value = read.value = problem.value = null
  top.value = []
  from.value = to.value = ''
  const last = remembered(kind.value)
  instrument.value = instruments.value.some((one) => one.id === last) ? last : undefined
})

async function ask(query: Record<string, string>): Promise<Schemas['LoggerView'] | null> {
  const chosen = file.value
  if (chosen === null) return null
  problem.value = null
  try {
    return await post<Schemas['LoggerView']>(
      `logger/${props.check}/${props.list.name}?${new URLSearchParams(query)}`,
      chosen,
    )
  } catch (error) {
    problem.value = problemOf(error)
    return null
  }
}

async function look(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
  mapping.value = read.value = null
  const seen = await ask({})
  if (seen === null) return
  top.value = seen.top
  propose(seen.mapping as Mapping)
  await load()
}

/** As the instrument's files were read last time, where this one is like them; else as it looks. */
function propose(seen: Mapping) {
  const known = instruments.value.find((one) => one.id === instrument.value)?.logger as Mapping | undefined
  isRemembered.value = known !== undefined && known !== null && fitsFile(known, top.value, readings.value)
  mapping.value = isRemembered.value ? { ...(known as Mapping) } : seen
}

let asked = 0
async function load() {
  const told = mapping.value
  if (told === null || !isWhole(told, readings.value)) {
    read.value = null
    return
  }
  const mine = ++asked
  const seen = await ask({
    mapping: JSON.stringify(told),
    ...(from.value.trim() === '' ? {} : { from: from.value.trim() }),
    ...(to.value.trim() === '' ? {} : { to: to.value.trim() }),
  })
  if (mine === asked) read.value = seen?.read ?? null
}

function change(next: Partial<Mapping>) {
  if (mapping.value === null) return
  mapping.value = { ...mapping.value, ...next }
  isRemembered.value = false
  void load()
}
function setRole(column: number, role: string) {
  if (mapping.value === null) return
  const units = readings.value.find((field) => field.name === role)?.units ?? []
  change({
    time: undefined,
    day: undefined,
    ...withRole(mapping.value, column, role, units.length === 1 ? (units[0] ?? '') : ''),
  })
}
function setUnit(name: string, unit: string) {
  const one = mapping.value?.values[name]
  if (one !== undefined) change({ values: { ...mapping.value?.values, [name]: { ...one, unit } } })
}

const told = computed(() => {
  const seen = read.value
  if (seen === null) return []
  return [
    seen.startsAt === ''
      ? ''
      : t('logger.startsAt', { at: `${day(seen.startsAt)} ${clock(seen.startsAt)}`.trim() }),
    seen.duplicates === 0 ? '' : t('logger.duplicates', seen.duplicates),
    seen.blanks === 0 ? '' : t('logger.blanks', seen.blanks),
    seen.unreadCount === 0
      ? ''
      : t('logger.unread', { lines: seen.unread.slice(0, 3).join('; ') }, seen.unreadCount),
    seen.midnights === 0 ? '' : t('logger.midnights', seen.midnights),
    seen.gaps.length === 0
      ? ''
      : t(
          'logger.gaps',
          {
            where: seen.gaps
              .slice(0, 3)
              .map((gap) => gap.replace(' ', ' – '))
              .join(', '),
          },
          seen.gaps.length,
        ),
  ].filter(Boolean)
})
const drawn = computed(() => line(read.value?.whole ?? []))
/** The part that is taken, as shares of the whole. */
const window = computed(() => {
  const all = read.value?.minutes ?? 0
  const share = (text: string, none: number) =>
    all === 0 || text.trim() === '' ? none : Math.min(1, Number(text) / all)
  return [share(from.value, 0), share(to.value, 1)] as const
})

async function take() {
  const [seen, by, chosen] = [read.value, mapping.value, file.value]
  if (seen === null || by === null || chosen === null) return
  if (instrument.value !== undefined)
    await post(`instruments/${instrument.value}/logger`, { mapping: by }).catch(() => undefined)
  emit(
    'take',
    seen.points,
    by,
    t('logger.source', { file: chosen.name.slice(0, 120), used: seen.used, kept: seen.points.length }),
  )
}
</script>

<template>
  <AskDialog
    v-model="open"
    :title="t('logger.title')"
    :submit="read ? t('logger.take', { count: read.points.length }) : t('logger.takeNone')"
    :incomplete="read === null"
    :send="take"
    forge
    wide
  >
    <div class="pick">
      <label class="press small"
        >{{ file === null ? t('logger.file') : file.name
        }}<input type="file" accept=".csv,.txt,text/csv" class="sr-only" @change="look"
      /></label>
      <label v-if="instruments.length > 0" class="of"
        >{{ t('bench.readWith')
        }}<select v-model="instrument">
          <option :value="undefined">{{ t('bench.noInstrument') }}</option>
          <option v-for="one in instruments" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select></label
      >
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem.detail }}</p>
    <template v-if="mapping">
      <p v-if="isRemembered" class="caption">{{ t('logger.remembered') }}</p>
      <div class="sheet">
        <table>
          <caption class="sr-only">
            {{
              t('logger.columns')
            }}
          </caption>
          <thead>
            <tr>
              <th v-for="column in width" :key="column">
                <select
                  :aria-label="t('logger.role', { column })"
                  :value="roleOf(mapping, column - 1)"
                  @change="setRole(column - 1, ($event.target as HTMLSelectElement).value)"
                >
                  <option value="">{{ t('logger.unused') }}</option>
                  <option value="time">{{ t('logger.time') }}</option>
                  <option value="day">{{ t('logger.day') }}</option>
                  <option v-for="field in readings" :key="field.name" :value="field.name">
                    {{ field.label }}
                  </option>
                </select>
                <select
                  v-for="field in readings.filter((one) => one.name === roleOf(mapping!, column - 1))"
                  :key="field.name"
                  :aria-label="t('logger.unitOf', { of: field.label })"
                  :value="mapping.values[field.name]?.unit"
                  :class="{ missing: !mapping.values[field.name]?.unit }"
                  @change="setUnit(field.name, ($event.target as HTMLSelectElement).value)"
                >
                  <option value="" disabled>{{ t('logger.unit') }}</option>
                  <option v-for="unit in field.units" :key="unit" :value="unit">{{ shownUnit(unit) }}</option>
                </select>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="(row, i) in top.slice(0, mapping.head + 2)"
              :key="i"
              :class="{ above: i < mapping.head }"
            >
              <td v-for="column in width" :key="column">{{ row[column - 1] }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="how">
        <label
          >{{ t('logger.form')
          }}<select
            :value="mapping.form"
            :class="{ missing: mapping.form === '' }"
            @change="change({ form: ($event.target as HTMLSelectElement).value })"
          >
            <option value="" disabled>{{ t('logger.say') }}</option>
            <option v-for="form in FORMS" :key="form" :value="form">{{ t(`logger.forms.${form}`) }}</option>
          </select></label
        >
        <label v-if="mapping.form === 'elapsed'"
          >{{ t('logger.unit')
          }}<select
            :value="mapping.unit ?? ''"
            :class="{ missing: !mapping.unit }"
            @change="change({ unit: ($event.target as HTMLSelectElement).value })"
          >
            <option value="" disabled>{{ t('logger.say') }}</option>
            <option v-for="unit in ['s', 'min', 'h']" :key="unit" :value="unit">{{ shownUnit(unit) }}</option>
          </select></label
        >
        <label v-if="HAS_DAY.includes(mapping.form)"
          >{{ t('logger.zone')
          }}<select
            :value="mapping.zone"
            @change="change({ zone: ($event.target as HTMLSelectElement).value })"
          >
            <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
          </select></label
        >
        <label
          >{{ t('logger.head')
          }}<input
            type="number"
            min="0"
            max="60"
            :value="mapping.head"
            @change="change({ head: Number(($event.target as HTMLInputElement).value) })"
        /></label>
        <label
          >{{ t('logger.decimal')
          }}<select
            :value="mapping.decimal"
            @change="change({ decimal: ($event.target as HTMLSelectElement).value })"
          >
            <option value="point">1.5</option>
            <option value="comma">1,5</option>
          </select></label
        >
      </div>
    </template>
    <template v-if="read">
      <p class="total">
        {{
          t('logger.total', {
            total: read.total.toLocaleString('en-US'),
            minutes: Math.round(read.minutes),
            every: Math.round(read.every * 10) / 10,
          })
        }}
      </p>
      <svg viewBox="0 0 1 1" preserveAspectRatio="none" role="img" :aria-label="t('logger.curve')">
        <rect :x="window[0]" y="0" :width="Math.max(0, window[1] - window[0])" height="1" class="part" />
        <polyline :points="drawn" vector-effect="non-scaling-stroke" />
      </svg>
      <div class="how">
        <label v-for="end in ['from', 'to'] as const" :key="end"
          >{{ t(`logger.${end}`)
          }}<input
            inputmode="decimal"
            :value="end === 'from' ? from : to"
            :placeholder="end === 'from' ? '0' : String(Math.round(read.minutes))"
            @change="
              (end === 'from'
                ? (from = ($event.target as HTMLInputElement).value)
                : (to = ($event.target as HTMLInputElement).value),
              load())
            "
        /></label>
        <p class="kept">{{ t('logger.kept', { used: read.used, kept: read.points.length }) }}</p>
      </div>
      <ul v-if="told.length > 0">
        <li v-for="one in told" :key="one">{{ one }}</li>
      </ul>
    </template>
  </AskDialog>
</template>

<style scoped>
.pick,
.how {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 14px;
}
.how label,
.of {
  display: grid;
  gap: 2px;
  font-size: 14.5px;
  color: var(--iron-soft);
}
.pick > .press {
  display: grid;
  place-items: center;
}
select,
input:not(.sr-only) {
  min-height: 44px;
  max-width: 220px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  font-size: 16px;
  color: var(--ink);
}
input:not(.sr-only) {
  width: 90px;
}
.missing {
  border-color: var(--watch);
}
.sheet {
  overflow-x: auto;
  border: 1px solid var(--rule);
}
table {
  border-collapse: collapse;
  font: 15px/1.3 var(--figures);
}
th {
  padding: 6px;
  vertical-align: top;
  background: var(--pan);
}
th select {
  display: block;
  width: 100%;
  min-width: 120px;
}
td {
  padding: 3px 10px;
  border-top: 1px solid var(--rule);
  white-space: nowrap;
}
.above td {
  color: var(--iron-soft);
}
svg {
  width: 100%;
  height: 72px;
  background: var(--pan);
}
.part {
  fill: var(--box);
}
polyline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.total {
  font: 600 19px/1.2 var(--figures);
}
.kept {
  min-height: 44px;
  display: flex;
  align-items: center;
  font-size: 15px;
}
.problem {
  color: var(--stop);
}
ul {
  padding-left: 20px;
  list-style: square;
  font-size: 15px;
}
</style>
