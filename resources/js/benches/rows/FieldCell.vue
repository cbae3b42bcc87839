<script setup lang="ts">
import { computed, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FieldView } from '@/api/client'
import ChoiceField from '@/components/ChoiceField.vue'
import ReadingField from '@/components/ReadingField.vue'
import { short } from '@/drawings/figures'
import { firstUnit, type Typed } from '@/lib/reading'
import { useSession } from '@/stores/session'
import { useBench } from '../bench'
import { enteredOf, fillFrom, NONE, valueAt, type Entered } from '../entered'
import FileCell from './FileCell.vue'
import { localMinute, localSecond } from './taking'

/** The control of one field: a figure, words to press, a text, by what the check says of it. */
const props = defineProps<{
  field: FieldView
  /** Its place in the draft. */
  at: string
  label?: string
  compact?: boolean
  /** The controls that figures pasted at once go on to. */
  series?: string[]
  /** Its words are picked from a list, however few: a line has room for more. */
  listed?: boolean
  /** Words to press instead of a figure, where they are known. */
  choices?: { value: string; text: string }[]
  /** It is not told here that there is none. */
  some?: boolean
  /** Where figures pasted at once make rows of their own. */
  paste?: (figures: string[]) => void
}>()
const bench = useBench()
const session = useSession()
const { t } = useI18n()
const id = useId()
const SHOWN_AS_BUTTONS = 6
const SHORT = 12
/** A text that may be longer has the whole width. */
const LINE = 120
/** What may be longer than this is a file's. */
const MANY_LINES = 20_000
/** More words than this are picked from a list, not pressed. */
const MANY = 12
/** What the sheet, the record or the person already gives stands in its box, pale, until another is typed. */
const given = computed<unknown>(() => valueAt(bench.prefill.value, props.at))
/** What was worked out, such as an average, is shown as a person would say it; what was typed stays as typed. */
const worked = (value: unknown) => typeof value === 'object'
const known = computed(() => {
  const entered = enteredOf(props.field, given.value)
  if (typeof entered === 'object') return worked(given.value) ? short(Number(entered.text), 1) : entered.text
  return typeof entered === 'string' ? entered : undefined
})
const knownUnit = computed(() => {
  const entered = enteredOf(props.field, given.value)
  return typeof entered === 'object' && entered.unit !== '' ? entered.unit : undefined
})
const value = computed<Entered>({
  get: () => bench.draft.value.values[props.at],
  set: (next) => (bench.draft.value.values[props.at] = next),
})
const typed = computed<Typed>({
  get: () =>
    typeof value.value === 'object'
      ? value.value
      : {
          text: '',
          unit: knownUnit.value ?? firstUnit(props.field, session.units, session.person?.fieldUnits ?? {}),
        },
  set: (next) => (value.value = next),
})
const text = computed({
  get: () => (typeof value.value === 'string' ? value.value : (known.value ?? '')),
  set: (next: string) => (value.value = next),
})
const choice = computed({
  get: () => wordOf(value.value) ?? knownWord.value,
  set: (next) => (value.value = next),
})
const knownWord = computed(() => wordOf(enteredOf(props.field, given.value)))
/** A figure that is pressed as a word stands there as one. */
const wordOf = (entered: Entered) =>
  typeof entered !== 'object' ? entered : props.choices === undefined ? undefined : entered.text
/** A quantity of which there are a few only, such as a tube's size, is chosen. */
const isFigure = computed(
  () =>
    ['number', 'count'].includes(props.field.type) ||
    (props.field.type === 'quantity' && props.field.options.length === 0),
)
const isFlags = computed(() => props.field.type === 'group')
/** Several of them may be pressed. */
const isSeveral = computed(
  () =>
    props.field.type === 'words' ||
    isFlags.value ||
    (props.field.type === 'texts' && props.choices !== undefined),
)
const options = computed(() => {
  if (props.choices !== undefined) return props.choices
  if (props.field.type === 'flag')
    return [
      { value: true, text: t('bench.yes') },
      { value: false, text: t('bench.no') },
    ]
  // Flags within a row are pressed like words.
  if (isFlags.value) return props.field.fields.map((one) => ({ value: one.name, text: one.label }))
  if (props.field.type === 'numbers') return []
  return props.field.options.map((one, i) => ({
    value: one,
    text: props.field.optionWords[i] ?? String(one),
  }))
})
function pasted(figures: string[]) {
  if (props.paste !== undefined) return props.paste(figures)
  fillFrom(bench.draft.value, props.series ?? [props.at], props.at, figures, (place) => {
    const other = bench.field(place)
    return other === undefined || other.kind === props.field.kind
      ? typed.value.unit
      : firstUnit(other, session.units, session.person?.fieldUnits ?? {})
  })
}
const optional = computed(() => props.field.need === 'optional' && !props.field.told && isFigure.value)
const problem = computed(() => bench.problemAt(props.at))
const shown = computed(() => props.label ?? props.field.label)
/** Several words of a few: kept as they are written, one after the other. */
const several = computed<string[]>({
  get: () => text.value.split(', ').filter(Boolean),
  set: (next) => (value.value = next.join(', ')),
})
const wordFor = (value: string) => options.value.find((one) => one.value === value)?.text ?? value
function addWord(event: Event) {
  const at = event.target as HTMLSelectElement
  if (at.value !== '') several.value = [...several.value, at.value]
  at.value = ''
}
/** A list of words or of a text's parts that may be told to be empty. */
const noneAt = computed({
  get: () => value.value === NONE || (typeof value.value === 'object' && value.value.flag === true),
  set: (on) => (value.value = on ? NONE : undefined),
})
const flagged = computed({
  get: () => typed.value.flag === true,
  set: (on) => (value.value = on ? { text: '', unit: typed.value.unit, flag: true } : undefined),
})
const isListed = computed(() => props.listed === true || options.value.length > SHOWN_AS_BUTTONS)
/** A few long words stand under their label, not beside it. */
const stacked = computed(
  () => props.compact === true || options.value.map((o) => o.text).join('').length > SHORT * 2,
)
</script>

<template>
  <div v-if="field.type === 'words' && options.length > MANY" class="many" :class="{ compact }">
    <label :for="id">{{ shown }}</label>
    <ul v-if="several.length > 0">
      <li v-for="one in several" :key="one">
        <button type="button" @click="several = several.filter((other) => other !== one)">
          {{ wordFor(one) }} <span aria-hidden="true">✕</span
          ><span class="sr-only">{{ t('bench.dropRow') }}</span>
        </button>
      </li>
    </ul>
    <select :id="id" value="" @change="addWord">
      <option value=""></option>
      <option
        v-for="one in options.filter((each) => !several.includes(String(each.value)))"
        :key="String(one.value)"
        :value="one.value"
      >
        {{ one.text }}
      </option>
    </select>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
  <fieldset v-else-if="isSeveral" class="several">
    <legend>{{ shown }}</legend>
    <label
      v-for="one in options"
      :key="String(one.value)"
      :class="{ on: several.includes(String(one.value)) }"
    >
      <input v-model="several" type="checkbox" :value="String(one.value)" />{{ one.text }}
    </label>
    <label v-if="field.orNone || isFlags" :class="{ on: noneAt }">
      <input v-model="noneAt" type="checkbox" />{{ t('bench.none') }}
    </label>
    <slot />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </fieldset>
  <ChoiceField
    v-else-if="(choices || !isFigure) && options.length > 0 && !isListed"
    v-model="choice"
    :label="shown"
    :help="compact || (choices && field.type === 'count') ? undefined : field.help"
    :options="options"
    :problem="problem"
    :stacked="stacked"
    :compact="compact"
  />
  <label v-else-if="options.length > 0 && isListed" class="pick" :class="{ compact }">
    <span
      >{{ shown }}<small v-if="field.help && !compact">{{ field.help }}</small></span
    >
    <select v-model="choice">
      <option :value="undefined"></option>
      <option v-for="one in options" :key="String(one.value)" :value="one.value">{{ one.text }}</option>
    </select>
  </label>
  <div v-else-if="isFigure" class="figure-cell" :class="{ flags: field.orFlag }">
    <ReadingField
      v-model="typed"
      :label="shown"
      :help="compact ? undefined : field.help"
      :kind="field.kind"
      :units="field.units"
      :problem="problem"
      :compact="compact"
      :optional="optional"
      :known="known"
      @several="pasted"
    />
    <label v-if="field.orFlag" class="flag"
      ><input v-model="flagged" type="checkbox" /> {{ t(`orFlag.${field.orFlag as 'open_circuit'}`) }}</label
    >
  </div>
  <FileCell
    v-else-if="field.length > MANY_LINES"
    v-model="text"
    :label="shown"
    :help="field.help"
    :problem="problem"
  />
  <div v-else class="text" :class="{ compact, wide: field.type === 'texts', long: field.length > LINE }">
    <label :for="id"
      >{{ shown }}<small v-if="field.help && !compact">{{ field.help }}</small></label
    >
    <div :class="{ moment: field.moment || field.orNone }">
      <input
        :id="id"
        v-model="text"
        class="figure"
        :type="field.moment ? 'datetime-local' : field.day ? 'date' : 'text'"
        :maxlength="field.length || 120"
        :step="field.seconds ? 1 : undefined"
        autocomplete="off"
        :aria-invalid="problem ? 'true' : undefined"
      />
      <button
        v-if="field.moment"
        type="button"
        class="press small"
        :aria-label="`${t('bench.now')}, ${shown}`"
        @click="text = (field.seconds ? localSecond : localMinute)(new Date())"
      >
        {{ t('bench.now') }}
      </button>
      <label v-if="field.orNone && !some" class="flag"
        ><input v-model="noneAt" type="checkbox" :aria-label="`${t('bench.none')}, ${shown}`" />
        {{ t('bench.none') }}</label
      >
      <slot />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.figure-cell.flags :deep(.reading) {
  grid-template-columns: minmax(0, 1fr) 118px;
}
.figure-cell.flags {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
}
.flag {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
}
.flag input,
.text .flag input {
  flex: none;
  width: 22px;
  height: 22px;
}
.pick,
.text {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(150px, auto);
  align-items: center;
  gap: 4px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 16px;
  line-height: 1.2;
}
.text {
  grid-template-columns: minmax(0, 1fr) minmax(150px, 46%);
}
.text.long {
  grid-template-columns: minmax(0, 1fr);
}
.text.long input {
  font: 400 18px/1.2 var(--text);
}
.text.compact,
.pick.compact {
  grid-template-columns: minmax(0, 1fr);
  padding: 0;
  border-bottom: 0;
}
.pick.compact select {
  height: 50px;
  font-size: 20px;
}
.text.compact input {
  height: 50px;
}
.pick.compact > span,
.text.compact label {
  font-size: 14.5px;
  color: var(--iron-soft);
}
.many {
  flex: 1 1 100%;
}
.many ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
.many button {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--ink);
  background: var(--box);
  font: 500 17px/1 var(--figures);
}
.many label {
  font-size: 14.5px;
  color: var(--iron-soft);
}
.many select {
  font-size: 18px;
}
.several {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin: 0;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
}
.several legend {
  font-size: 16px;
}
.several label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 46px;
  padding: 0 12px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  font: 500 19px/1 var(--figures);
}
.several .on {
  border-color: var(--ink);
}
.several input {
  width: 20px;
  height: 20px;
}
small {
  display: block;
  font-size: 13.5px;
  color: var(--iron-soft);
}
select,
.text input {
  width: 100%;
  min-width: 0;
  height: 52px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
  font: 600 24px/1 var(--figures);
}
.moment {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.moment input {
  flex: 1 1 170px;
}
.text input[type='datetime-local'] {
  font-size: 17px;
}
.text input:focus,
select:focus {
  border-color: var(--forge);
  outline: 0;
  box-shadow: inset 0 0 0 1px var(--forge);
}
.problem {
  grid-column: 1 / -1;
  font-size: 15px;
  color: var(--stop);
}
</style>
