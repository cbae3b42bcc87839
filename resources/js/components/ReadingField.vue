<script setup lang="ts">
import { computed, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import { several, shownUnit, type Typed } from '@/lib/reading'
import { useSession } from '@/stores/session'

/** A big box for one figure, with its unit beside it. What is typed stays as typed. */
const props = defineProps<{
  label: string
  help?: string
  kind: string
  units: string[]
  optional?: boolean
  problem?: string
  compact?: boolean
  /** A figure that is known and stands unless another is typed. */
  known?: string
}>()
const typed = defineModel<Typed>({ required: true })
const emit = defineEmits<{ several: [figures: string[]] }>()
const { t } = useI18n()
const session = useSession()
const id = useId()
const describedBy = computed(() => (props.problem ? `${id}-problem` : props.help ? `${id}-help` : undefined))

function type(event: Event) {
  typed.value = { ...typed.value, text: (event.target as HTMLInputElement).value }
}

function nextUnit() {
  const at = props.units.indexOf(typed.value.unit)
  const unit = props.units[(at + 1) % props.units.length] ?? typed.value.unit
  typed.value = { ...typed.value, unit }
  void session
    .prefer({ fieldUnits: { ...session.person?.fieldUnits, [props.kind]: unit } })
    .catch(() => undefined)
}

function paste(event: ClipboardEvent) {
  const figures = several(event.clipboardData?.getData('text') ?? '')
  if (figures.length === 0) return
  event.preventDefault()
  emit('several', figures)
}
</script>

<template>
  <div class="reading" :class="{ wrong: problem, compact }">
    <label :for="id">
      {{ label }}<span v-if="optional && !compact" class="optional"> · {{ t('bench.optional') }}</span>
      <small v-if="help && !compact" :id="`${id}-help`">{{ help }}</small>
    </label>
    <div class="box">
      <input
        :id="id"
        class="figure"
        inputmode="decimal"
        autocomplete="off"
        spellcheck="false"
        :value="typed.text"
        :placeholder="known"
        :aria-invalid="problem ? 'true' : undefined"
        :aria-describedby="describedBy"
        @input="type"
        @paste="paste"
      />
      <button
        v-if="units.length > 1"
        type="button"
        class="unit"
        tabindex="-1"
        :aria-label="t('bench.unit', { unit: shownUnit(typed.unit) })"
        @click="nextUnit"
      >
        {{ shownUnit(typed.unit) }}
      </button>
      <span v-else class="unit">{{ shownUnit(typed.unit) }}</span>
    </div>
    <p v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  align-items: center;
  gap: 2px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
label {
  font-size: 16px;
  line-height: 1.2;
}
small {
  display: block;
  font-size: 13.5px;
  color: var(--iron-soft);
}
.optional {
  font-size: 13.5px;
  color: var(--iron-soft);
}
.box {
  display: flex;
  align-items: stretch;
  height: 56px;
  border: 2px solid var(--iron);
  background: var(--box);
}
.box:focus-within {
  border-color: var(--forge);
  box-shadow: inset 0 0 0 1px var(--forge);
}
.figure {
  flex: 1;
  min-width: 0;
  height: 52px;
  padding: 0 4px 0 8px;
  border: 0;
  outline: 0;
  background: none;
  font: 600 32px/52px var(--figures);
  text-align: right;
}
.figure::placeholder {
  color: var(--iron-soft);
  opacity: 1;
  font-weight: 500;
}
.unit {
  display: flex;
  flex: none;
  align-items: center;
  min-width: 32px;
  padding: 0 8px 0 2px;
  border: 0;
  background: none;
  font-size: 16px;
  color: var(--iron-soft);
}
button.unit {
  min-width: 48px;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.problem {
  grid-column: 1 / -1;
  font-size: 15px;
  color: var(--stop);
}
.compact {
  grid-template-columns: minmax(0, 1fr);
  border-bottom: 0;
  padding: 0;
}
.compact .box {
  height: 50px;
}
.compact .figure {
  height: 46px;
  padding-left: 4px;
  font-size: 28px;
  line-height: 46px;
}
.compact .unit {
  font-size: 14.5px;
}
.compact label {
  font-size: 14.5px;
  color: var(--iron-soft);
}
</style>
