<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { fromWire, type Typed } from '@/lib/reading'
import { useSession } from '@/stores/session'
import { useBench } from '../bench'
import { fillFrom, valueAt } from '../entered'
import type { Row } from '../spec'

/** One called at a time, and how far each coil went: rows and columns are the same names. */
const props = defineProps<{ of: Extract<Row, { row: 'matrix' }> }>()
const bench = useBench()
const session = useSession()
const { t } = useI18n()
const names = computed(() => {
  const typed = bench.draft.value.values[props.of.names]
  const known = valueAt(bench.prefill.value, props.of.names)
  const all =
    typeof typed === 'string' && typed.trim() !== ''
      ? typed.split(/\s*[,;]\s*/)
      : Array.isArray(known)
        ? known.map(String)
        : []
  return [...new Set(all.map((one) => one.trim()).filter(Boolean))]
})
const unit = computed(() => (session.units === 'us' ? 'delta_degF' : 'K_diff'))
const at = (called: string, coil: string) => `${props.of.list}.${called}.${props.of.member}.${coil}`
const known = (called: string, coil: string): string => {
  const value = valueAt(bench.prefill.value, `${props.of.list}.${called}`) as
    Record<string, Record<string, unknown>> | undefined
  const read = fromWire(value?.[props.of.member]?.[coil]) as Typed | undefined
  return read?.text ?? ''
}
const shownAt = (called: string, coil: string): string => {
  const value = bench.draft.value.values[at(called, coil)]
  return typeof value === 'object' ? value.text : known(called, coil)
}
function type(called: string, coil: string, text: string) {
  bench.draft.value.values[at(called, coil)] = { text: text.trim().replace('−', '-'), unit: unit.value }
}
const cells = () => names.value.flatMap((called) => names.value.map((coil) => at(called, coil)))
function pasted(event: ClipboardEvent, called: string, coil: string) {
  const figures = (event.clipboardData?.getData('text/plain') ?? '').split(/[\s;]+/).filter(Boolean)
  if (figures.length < 2) return
  event.preventDefault()
  fillFrom(
    bench.draft.value,
    cells(),
    at(called, coil),
    figures.map((one) => one.replace('−', '-')),
    () => unit.value,
  )
}
/** A row stands there for each that may be called; one that was not called says nothing. */
watch(
  names,
  (all) => {
    const before = valueAt(bench.prefill.value, props.of.list)
    const there = (Array.isArray(before) ? (before as Record<string, unknown>[]) : []).map((one) =>
      String(one['called']),
    )
    const rows = all.filter((one) => !there.includes(one))
    const now = bench.draft.value.rows[props.of.list] ?? []
    if (rows.join('\n') !== now.join('\n')) bench.draft.value.rows[props.of.list] = rows
  },
  { immediate: true },
)
/** On a phone one call is shown at a time. */
const called = ref('')
const one = computed(() => (names.value.includes(called.value) ? called.value : (names.value[0] ?? '')))
</script>

<template>
  <div v-if="names.length > 0" class="matrix" role="group" :aria-label="t('matrix.title')">
    <label class="pick">
      {{ t('matrix.called') }}
      <select :value="one" @change="called = ($event.target as HTMLSelectElement).value">
        <option v-for="name in names" :key="name" :value="name">{{ name }}</option>
      </select>
    </label>
    <table>
      <thead>
        <tr>
          <th scope="col" class="corner">
            {{ t('matrix.corner', { unit: session.units === 'us' ? '°F' : 'K' }) }}
          </th>
          <th v-for="coil in names" :key="coil" scope="col">{{ coil }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="name in names" :key="name" :class="{ shown: name === one }">
          <th scope="row">{{ name }}</th>
          <td v-for="coil in names" :key="coil" :class="{ own: coil === name }">
            <span class="coil">{{ coil }}</span>
            <input
              class="figure"
              inputmode="text"
              autocomplete="off"
              :value="shownAt(name, coil)"
              :aria-label="t('matrix.cell', { called: name, coil })"
              :aria-invalid="bench.problemAt(at(name, coil)) ? 'true' : undefined"
              @input="type(name, coil, ($event.target as HTMLInputElement).value)"
              @paste="pasted($event, name, coil)"
            />
            <p v-if="bench.problemAt(at(name, coil))" class="problem" role="alert">
              {{ bench.problemAt(at(name, coil)) }}
            </p>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.matrix {
  overflow-x: auto;
  padding: 8px 0;
}
.pick {
  display: none;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 2px 6px;
  font: 600 15px/1.1 var(--figures);
  text-align: left;
}
thead th:not(.corner) {
  max-width: 72px;
  padding: 2px;
  font-size: 13.5px;
  overflow-wrap: anywhere;
  text-align: center;
  vertical-align: bottom;
}
.corner {
  font-weight: 400;
  color: var(--iron-soft);
}
td {
  padding: 2px;
}
td input {
  width: 100%;
  min-width: 54px;
  height: 44px;
  padding: 0 4px;
  border: 2px solid var(--rule);
  background: var(--box);
  color: var(--ink);
  font: 500 20px/1 var(--figures);
  text-align: center;
}
.own input {
  border-color: var(--ink);
}
td input[aria-invalid='true'] {
  border-color: var(--stop);
}
.coil {
  display: none;
}
.problem {
  margin: 0;
  font-size: 13px;
  color: var(--stop);
}
@media (max-width: 640px) {
  .pick {
    display: grid;
    gap: 4px;
    font-size: 16px;
  }
  .pick select {
    height: 50px;
    font-size: 20px;
  }
  thead,
  tbody th,
  tr:not(.shown) {
    display: none;
  }
  table,
  tbody,
  tr.shown {
    display: block;
  }
  td {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 110px;
    align-items: center;
    padding: 4px 0;
    border-bottom: 1px solid var(--rule);
  }
  td input {
    width: 110px;
    height: 52px;
  }
  .coil {
    display: inline;
    font-size: 18px;
  }
  .own .coil {
    font-weight: 600;
  }
}
</style>
