<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FieldView } from '@/api/client'
import { firstUnit } from '@/lib/reading'
import { useSession } from '@/stores/session'
import { useBench } from '../bench'
import {
  dropRow,
  enteredOf,
  fillFrom,
  isAdded,
  isTyped,
  keyOf,
  keysOf,
  listsOf,
  NONE,
  valueAt,
} from '../entered'
import type { Column, Item, Row } from '../spec'
import LoggerDialog from '../logger/LoggerDialog.vue'
import { fill, set, type LoggerRead, type Mapping } from '../logger/logger'
import FieldCell from './FieldCell.vue'
import { minutesSince } from './taking'

/** A table by part: a block each, with the figures its sheet gives under its name; grown by hand where it may. */
const props = defineProps<{ of: Extract<Row, { row: 'table' }> }>()
const bench = useBench()
const session = useSession()
const { t } = useI18n()
const found = computed(() =>
  bench.checks.value
    .map((check) => ({ check, list: listsOf(check).find((one) => one.path === props.of.list)?.field }))
    .find((one) => one.list !== undefined),
)
const check = computed(() => found.value?.check)
const list = computed(() => found.value?.list)
const key = computed(() => (list.value === undefined ? 'name' : keyOf(list.value)))
/** Rows that follow from what stands on the bench stand in their own order, whatever was told of first. */
const laid = computed(() => props.of.lays?.(bench.context.value) ?? [])
const placeOf = (name: string) => laid.value.findIndex((one) => one.value === name)
const keys = computed(() =>
  check.value === undefined || list.value === undefined
    ? []
    : keysOf(check.value, list.value, bench.prefill.value, bench.draft.value, props.of.list).sort(
        (a, b) => placeOf(a) - placeOf(b),
      ),
)
watch(
  () => laid.value.map((one) => one.value),
  (names) => {
    const now = bench.draft.value.rows[props.of.list] ?? []
    if (names.length > 0 && names.join('\n') !== now.join('\n')) bench.draft.value.rows[props.of.list] = names
  },
  { immediate: true },
)

/** One row stands there to be filled, of each circuit anew. */
watch(
  () => list.value !== undefined && keys.value.length === 0,
  (none) => {
    if (none && props.of.starts) add()
  },
  { immediate: true },
)

function itemOf(name: string): Item {
  const known = valueAt(bench.prefill.value, props.of.list)
  const found = (Array.isArray(known) ? (known as Item[]) : []).find((item, i) =>
    key.value === '' ? String(i) === name : String(item[key.value]) === name,
  )
  return {
    ...found,
    ...(bench.context.value.items[props.of.list] ?? []).find((i) => i[key.value] === name),
    ...typedOf(name),
  }
}
/** What is pressed in the row itself decides what else it is asked. */
function typedOf(name: string): Item {
  const words = (list.value?.fields ?? []).filter((f) => ['word', 'text', 'texts'].includes(f.type))
  return Object.fromEntries(
    words.flatMap((f) => {
      const pressed = bench.draft.value.values[at(name, f.name)]
      return pressed === undefined || pressed === '' ? [] : [[f.name, pressed]]
    }),
  )
}
const shown = computed(() =>
  keys.value.filter((name) => isAdded(name) || props.of.of?.(itemOf(name)) !== false),
)
/** Of a long series only its ends stand there to be typed in, until all of it is wanted. */
const SERIES = 16
const ENDS = 3
const whole = ref(false)
const folded = computed(() =>
  whole.value || !props.of.file || shown.value.length <= SERIES ? 0 : shown.value.length - 2 * ENDS,
)
const parts = computed(() =>
  folded.value === 0 ? shown.value : [...shown.value.slice(0, ENDS), ...shown.value.slice(-ENDS)],
)
const others = computed(() => keys.value.filter((name) => !shown.value.includes(name)))

const at = (name: string, field: string) => `${props.of.list}.${name}.${field}`

function member(name: string): FieldView | undefined {
  return list.value?.fields.find((f) => f.name === name)
}

/** Rows of which also what is seldom told stands there. */
const opened = ref(new Set<string>())
const hasMore = (name: string) => props.of.columns.some((column) => column.seldom) && !opened.value.has(name)

function columnsOf(name: string): { column: Column; field: FieldView }[] {
  const item = itemOf(name)
  const columns: Column[] = isAdded(name)
    ? [
        ...(key.value === '' ? [] : [{ field: key.value }]),
        ...(list.value?.fields ?? [])
          .filter(
            (f) =>
              f.need === 'structural' &&
              f.name !== key.value &&
              !props.of.columns.some((c) => c.field === f.name),
          )
          .map((f) => ({ field: f.name })),
        ...props.of.columns,
      ]
    : props.of.columns
  return columns.flatMap((column) => {
    const field = member(column.field)
    const applies = column.when?.(item, bench.context.value) !== false
    const isBack = column.seldom === true && !opened.value.has(name) && item[column.field] === undefined
    return field === undefined || !applies || isBack ? [] : [{ column, field }]
  })
}

/** What the sheet says of it, in small under its name. */
function factsOf(name: string): string {
  const item = itemOf(name)
  return props.of.facts
    .map((fact) => {
      const value = item[fact]
      const field = member(fact)
      if (value === undefined || field === undefined) return ''
      const word = field.optionWords[field.options.findIndex((o) => o === value)]
      return (
        word ??
        String(
          typeof value === 'object' && value !== null && 'value' in value
            ? `${(value as { value: number }).value} ${(value as unknown as { unit: string }).unit}`
            : value,
        )
      )
    })
    .filter(Boolean)
    .join(', ')
}
const recalled = (name: string) => props.of.recalls?.(itemOf(name), bench.context.value) ?? ''
/** The figures of all rows, one after the other. */
const figures = () =>
  shown.value.flatMap((name) =>
    columnsOf(name).flatMap(({ field }) =>
      ['quantity', 'number', 'count'].includes(field.type) && field.options.length === 0
        ? [{ at: at(name, field.name), field }]
        : [],
    ),
  )
/** Pasted figures run on from cell to cell, row by row; where there are more of them, rows are made. */
function paste(from: string, pasted: string[]) {
  const start = figures().findIndex((cell) => cell.at === from)
  const rows = shown.value.length
  while (
    props.of.grows &&
    figures().length < start + pasted.length &&
    shown.value.length < rows + pasted.length
  )
    add()
  const cells = figures()
  const units = Object.fromEntries(
    cells.map(({ at, field }) => [at, firstUnit(field, session.units, session.person?.fieldUnits ?? {})]),
  )
  fillFrom(
    bench.draft.value,
    cells.map((cell) => cell.at),
    from,
    pasted,
    (place) => units[place] ?? '',
  )
}

function add() {
  const rows = (bench.draft.value.rows[props.of.list] ??= [])
  let n = rows.length + 1
  while (rows.includes(`+${n}`)) n++
  rows.push(`+${n}`)
}

const root = ref<HTMLElement | null>(null)
const isTimed = computed(
  () => props.of.file && list.value?.fields.some((field) => field.name === 'minutes') === true,
)
const timed = computed(() => `${props.of.list} ${bench.subject?.value ?? ''}`)
const began = computed(() => bench.draft.value.began?.[timed.value])
const hasRead = computed(() => shown.value.some((name) => isUsed(name) || itemOf(name).minutes !== undefined))
/** A reading as it is taken: the minute is the clock's, from the first one on. */
async function takeNow() {
  const now = new Date()
  const start = hasRead.value && began.value !== undefined ? began.value : now.toISOString()
  bench.draft.value.began = { ...bench.draft.value.began, [timed.value]: start }
  const last = shown.value.at(-1)
  if (last === undefined || !isAdded(last) || isUsed(last)) add()
  await nextTick()
  const name = shown.value.at(-1) ?? ''
  bench.draft.value.values[at(name, 'minutes')] = { text: minutesSince(start, now), unit: 'min' }
  await nextTick()
  const boxes = [...(root.value?.querySelectorAll<HTMLInputElement>('.part .figure') ?? [])]
  boxes.find((box) => box.value === '' && box.closest('.part') === boxes.at(-1)?.closest('.part'))?.focus()
}
/** Readings are typed one after the other: Enter begins the next row, and in an empty one it goes on past the table. */
async function onEnter(event: KeyboardEvent) {
  const [at, name] = [event.target, shown.value.at(-1)]
  if (!props.of.file || !(at instanceof HTMLInputElement) || name === undefined) return
  const boxes = [...(root.value?.querySelectorAll<HTMLInputElement>('.part input') ?? [])]
  const last = boxes.at(-1)
  if (at === last && at.value !== '') {
    event.preventDefault()
    event.stopPropagation()
    add()
    await nextTick()
    const parts = root.value?.querySelectorAll('.part')
    parts?.[parts.length - 1]?.querySelector<HTMLInputElement>('input')?.focus()
  } else if (
    at.value === '' &&
    isAdded(name) &&
    shown.value.length > 1 &&
    !isUsed(name) &&
    at.closest('.part')?.contains(last ?? null)
  ) {
    event.preventDefault()
    event.stopPropagation()
    const all = [
      ...(root.value?.closest('.frame')?.querySelectorAll<HTMLInputElement>('.figure, .part input') ?? []),
    ]
    all[all.indexOf(last ?? at) + 1]?.focus()
    take(name)
  }
}

const take = (name: string) => dropRow(bench.draft.value, props.of.list, name)
/** All of a file's readings go at once. */
function drop() {
  const draft = bench.draft.value
  for (const place of Object.keys(draft.values))
    if (place.startsWith(`${props.of.list}.`)) delete draft.values[place]
  draft.rows[props.of.list] = []
  delete draft.source
  whole.value = false
}

/** Each word that is pressed elsewhere has its row; what was typed in one that is left out is kept for when it comes back. */
const wanted = computed(() => {
  const from = props.of.from
  if (from === undefined) return undefined
  const typed = bench.draft.value.values[from]
  const known = valueAt(bench.prefill.value, from)
  const words =
    typeof typed === 'string'
      ? typed.split(', ').filter(Boolean)
      : Array.isArray(known)
        ? known.map(String)
        : []
  return words.length === 0 && typed === undefined && known === undefined ? undefined : words
})
watch(
  wanted,
  (words) => {
    const rows = bench.draft.value.rows[props.of.list] ?? []
    if (words === undefined) return
    if (words.join() !== rows.join()) bench.draft.value.rows[props.of.list] = words
    // What the sheet names and nobody presses is not sent.
    const { values } = bench.draft.value
    const named = valueAt(bench.prefill.value, props.of.list)
    for (const item of Array.isArray(named) ? (named as Item[]) : []) {
      const place = `${props.of.list}.${String(item[key.value])}`
      if (words.includes(String(item[key.value]))) delete values[place]
      else values[place] = false
    }
  },
  { immediate: true },
)
/** A row's name as it is pressed elsewhere. */
const titled = (name: string) => {
  const field = member(key.value)
  const word = laid.value.find((one) => one.value === name)?.text
  return word ?? field?.optionWords[field.options.indexOf(name)] ?? name
}

/** That there is none is told as well. */
const none = computed({
  get: () => isTyped(bench.draft.value.values[props.of.list]),
  set: (on) => {
    if (on) bench.draft.value.values[props.of.list] = NONE
    else delete bench.draft.value.values[props.of.list]
  },
})
/** The names of another table's rows, to be pressed. */
const choicesOf = (column: Column, of: string) =>
  column.among === undefined
    ? column.choices?.(bench.context.value)
    : (bench.context.value.items[column.among] ?? [])
        .filter((one) => column.among !== props.of.list || one.name !== itemOf(of).name)
        .map((one) => ({ value: String(one.name), text: String(one.name) }))
/** What stands in the one box is put into the other. */
function takeOver(name: string, from: string, to: string) {
  const [typed, field] = [bench.draft.value.values[at(name, from)], member(from)]
  bench.draft.value.values[at(name, to)] =
    typed ?? (field === undefined ? undefined : enteredOf(field, itemOf(name)[from]))
}
/** What is mostly the same everywhere is taken over in all rows that are still empty. */
const atOnce = computed(() =>
  props.of.columns
    .filter((column) => column.rest === true && column.as !== undefined)
    .map((column) => ({
      to: column.field,
      from: column.as ?? '',
      rows: shown.value.filter(
        (name) =>
          !isTyped(bench.draft.value.values[at(name, column.field)]) &&
          (isTyped(bench.draft.value.values[at(name, column.as ?? '')]) ||
            itemOf(name)[column.as ?? ''] !== undefined),
      ),
    }))
    .filter((one) => one.rows.length > 1),
)

/** The first row that says something of what is mostly alike, and what of it the others still lack. */
const alike = computed(() => {
  const like = props.of.columns.filter((column) => column.like === true).map((column) => column.field)
  const typed = (name: string, field: string) => isTyped(bench.draft.value.values[at(name, field)])
  const first = shown.value.find((name) => like.some((field) => typed(name, field)))
  if (first === undefined) return undefined
  const lacking = shown.value.flatMap((name) =>
    columnsOf(name)
      .map(({ field }) => field.name)
      .filter((field) => name !== first && like.includes(field) && typed(first, field) && !typed(name, field))
      .map((field) => ({ name, field })),
  )
  return lacking.length === 0
    ? undefined
    : { first, lacking, fields: [...new Set(lacking.map((one) => one.field))] }
})
function fillAlike(first: string, lacking: { name: string; field: string }[]) {
  const values = bench.draft.value.values
  for (const { name, field } of lacking) values[at(name, field)] = values[at(first, field)]
}

const importing = ref(false)
function takeFile(points: LoggerRead['points'], mapping: Mapping, source: string) {
  if (list.value === undefined) return
  const draft = bench.draft.value
  const ends = props.of.ends ?? []
  const [first, last] = [points[0], points[points.length - 1]]
  const between = ends.length > 0 ? points.slice(1, -1) : points
  const carried = keys.value.filter((name) => !isAdded(name))
  fill(draft, list.value, between, mapping, props.of.list)
  for (const name of carried) draft.values[`${props.of.list}.${name}`] = false
  for (const [end, point] of [[ends[0], first] as const, [ends[1], last] as const])
    if (end !== undefined && point !== undefined) set(draft, list.value.fields, end, point, mapping)
  draft.source = source
  whole.value = false
}
const isUsed = (name: string) =>
  columnsOf(name).some((c) => isTyped(bench.draft.value.values[at(name, c.field.name)]))
</script>

<template>
  <div ref="root" class="table" @keydown.enter="onEnter">
    <p v-if="bench.draft.value.source && of.file" class="others">
      {{ t('logger.fromFile', { source: bench.draft.value.source }) }}
      <button type="button" class="press small" @click="drop">{{ t('logger.drop') }}</button>
    </p>
    <p v-if="alike !== undefined" class="others">
      <button type="button" class="press small" @click="fillAlike(alike.first, alike.lacking)">
        {{
          t('bench.restAlike', {
            what: alike.fields.map((field) => member(field)?.label ?? '').join(', '),
            first: titled(alike.first),
          })
        }}
      </button>
    </p>
    <p v-if="atOnce.length > 0" class="others">
      <button
        v-for="one in atOnce"
        :key="one.to"
        type="button"
        class="press small"
        @click="one.rows.forEach((name) => takeOver(name, one.from, one.to))"
      >
        {{
          t('bench.restAs', {
            what: member(one.to)?.label ?? '',
            from: member(one.from)?.label ?? '',
          })
        }}
      </button>
    </p>
    <div
      v-for="(name, i) in parts"
      :key="name"
      class="part"
      role="group"
      :aria-label="isAdded(name) || key === '' ? list?.label : titled(name)"
    >
      <button v-if="folded > 0 && i === ENDS" type="button" class="folded" @click="whole = true">
        {{ t('logger.folded', folded) }}
      </button>
      <p class="name">
        <template v-if="key !== '' && !isAdded(name)">{{ titled(name) }}</template>
        <template v-else-if="key === ''">{{ shown.indexOf(name) + 1 }}</template>
        <small v-if="factsOf(name)">{{ factsOf(name) }}</small>
        <small v-if="recalled(name)" class="recalled">{{ recalled(name) }}</small>
        <button v-if="isAdded(name) || key === ''" type="button" class="less" @click="take(name)">
          <span aria-hidden="true">✕</span
          ><span class="sr-only">{{ t(isUsed(name) ? 'bench.takeRow' : 'bench.dropRow') }}</span>
        </button>
      </p>
      <div class="cells" :class="{ takes: of.columns.some((column) => column.as) }">
        <FieldCell
          v-for="{ field, column } in columnsOf(name)"
          :key="field.name"
          :field="field"
          :at="at(name, field.name)"
          :paste="(figures: string[]) => paste(at(name, field.name), figures)"
          :class="{ line: column.wide, broad: column.broad }"
          :some="column.some"
          :choices="choicesOf(column, name)"
          compact
        >
          <button
            v-if="column.as"
            type="button"
            class="press small"
            @click="takeOver(name, column.as, field.name)"
          >
            <span aria-hidden="true">{{ t('bench.as') }}</span><span class="sr-only">{{
              t('bench.asIs', { what: member(column.as)?.label.toLowerCase() ?? '' })
            }}</span>
          </button>
        </FieldCell>
        <button v-if="hasMore(name)" type="button" class="press small" @click="opened.add(name)">
          {{ t('bench.moreOf') }}
        </button>
      </div>
    </div>
    <p v-if="others.length > 0" class="others">{{ t('bench.notAsked', { names: others.join(', ') }) }}</p>
    <button
      v-if="(of.grows || (keys.every(isAdded) && !of.from)) && !none"
      type="button"
      class="press small"
      @click="add"
    >
      {{ t('bench.addRow', { what: list?.label.toLowerCase() ?? '' }) }}
    </button>
    <label v-if="list?.orNone && keys.length === 0" class="none"
      ><input v-model="none" type="checkbox" />
      {{ t('bench.noneOf', { what: list.label.toLowerCase() }) }}</label
    >
    <button v-if="isTimed && (!hasRead || began)" type="button" class="press small" @click="takeNow">
      {{ t('bench.takeReading') }}
    </button>
    <template v-if="of.file && check && list">
      <button type="button" class="press small" @click="importing = true">{{ t('logger.open') }}</button>
      <LoggerDialog v-model="importing" :check="check.id" :list="list" @take="takeFile" />
    </template>
  </div>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: minmax(44px, max-content) minmax(0, 1fr);
  align-items: center;
  gap: 4px 10px;
  padding: 5px 0 7px;
  border-bottom: 1px solid var(--rule);
}
.name {
  font: 600 20px/1.1 var(--figures);
  overflow-wrap: anywhere;
}
small {
  display: block;
  font: 400 13.5px/1.2 var(--text);
  color: var(--iron-soft);
}
.recalled {
  max-width: 132px;
}
.cells {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 4px 7px;
}
.cells.takes {
  align-items: start;
}
.cells > * {
  flex: 1 1 68px;
  min-width: 0;
}
.cells > .broad {
  flex: 1 1 112px;
}
.cells > :deep(.text) {
  flex: 1 1 130px;
}
.cells > :deep(.text.wide) {
  flex: 1 1 240px;
}
.cells > :deep(.pick) {
  flex: 1 1 170px;
}
.cells > .line {
  flex: 1 1 100%;
}
.cells > .press {
  flex: none;
}
.cells > :deep(.choice) {
  flex: 0 1 auto;
}
.cells :deep(.choice) {
  padding: 0;
  border: 0;
}
.cells :deep(.choice legend) {
  font-size: 14.5px;
  color: var(--iron-soft);
}
.cells :deep(.options label) {
  min-height: 50px;
  padding: 0 8px;
  font-size: 17px;
}
.others {
  padding: 8px 0;
  font-size: 15px;
  color: var(--iron-soft);
}
.none {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 46px;
  margin: 8px 8px 0 0;
}
.none input {
  width: 22px;
  height: 22px;
}
.less {
  min-width: 44px;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  font: 400 17px/1 var(--text);
  color: var(--iron-soft);
}
.table > .press {
  margin: 8px 8px 0 0;
}
.folded {
  grid-column: 1 / -1;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  font-size: 15px;
  color: var(--iron-soft);
  text-decoration: underline;
}
@media (max-width: 640px) {
  .part {
    grid-template-columns: minmax(0, 1fr);
  }
  .name small {
    display: inline;
    margin-left: 8px;
  }
}
</style>
