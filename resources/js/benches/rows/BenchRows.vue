<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FieldView } from '@/api/client'
import { useMachine } from '@/stores/machine'
import { fieldOf, fromSheet, useBench } from '../bench'
import { isTyped, leavesOf } from '../entered'
import { named, type Row } from '../spec'
import FieldCell from './FieldCell.vue'
import LiveRow from './LiveRow.vue'
import MatrixRow from './MatrixRow.vue'
import OptionalRow from './OptionalRow.vue'
import SheetRow from './SheetRow.vue'
import TableRow from './TableRow.vue'
import TreeFileRow from './TreeFileRow.vue'
import TreeRow from './TreeRow.vue'
import WalkedRow from './WalkedRow.vue'

/** The rows of a bench in their order; what the sheet fills folded to a sentence, what is seldom needed behind a press. */
const bench = useBench()
const machine = useMachine()
const { t, te } = useI18n()
const sheet = fromSheet(bench)
const isFolded = (name: string) =>
  !bench.draft.value.otherPlate &&
  !isTyped(bench.draft.value.values[name]) &&
  sheet.value.some((f) => f.name === name)
const field = (path: string): FieldView | undefined => fieldOf(bench.checks.value, path)

/** Three phases need no word: nearly every unit here has them. */
const folded = computed(() =>
  sheet.value.filter((f) => isFolded(f.name) && !(f.name === 'phases' && bench.prefill.value[f.name] === 3)),
)
/** Rows that are not wholly the sheet's, in the spec's order. */
const rows = computed(() =>
  bench.spec.rows.filter((row) => {
    if (row.row === 'figure' || row.row === 'words') return !isFolded(row.field)
    return row.row !== 'grid' || !row.fields.every(isFolded)
  }),
)
/** The sheet's figures that no row names: shown when they are typed over. */
const open = computed(() => sheet.value.filter((f) => !isFolded(f.name) && !named(bench.spec).has(f.name)))
/** Fields nobody placed: there, and out of the way. */
const rest = computed(() =>
  bench.checks.value
    .flatMap((check) => leavesOf(check.fields))
    .filter(
      ({ path, field: f }, i, all) =>
        !f.brought &&
        !['items', 'group'].includes(f.type) &&
        !placed(path) &&
        !sheet.value.some((s) => s.name === path) &&
        all.findIndex((one) => one.path === path) === i,
    ),
)
/** It stands in a row of its own, or with the object it is a member of. */
const placed = (path: string): boolean =>
  path
    .split('.')
    .some((_, i, all) =>
      [named(bench.spec), fixed.value].some((set) => set.has(all.slice(0, i + 1).join('.'))),
    )
const fixed = computed(
  () =>
    new Set(bench.spec.parts.flatMap((part) => [...Object.keys(part.fixed ?? {}), ...(part.without ?? [])])),
)
const more = ref(false)
/** What is asked for as it stands, or was typed, is not hidden. */
const wanted = ({ path }: { path: string }) =>
  bench.missing.value.has(path) || isTyped(bench.draft.value.values[path])
/** What was in sight once stays: a box doesn't vanish from under the finger because the verdict says something else first. */
const seen = ref(new Set<string>())
watch(
  () => rest.value.filter(wanted).map((f) => f.path),
  (names) => names.forEach((name) => seen.value.add(name)),
  { immediate: true },
)
const shownRest = computed(() =>
  more.value ? rest.value : rest.value.filter((f) => wanted(f) || seen.value.has(f.path)),
)
const hidden = computed(() => rest.value.filter((f) => !shownRest.value.includes(f)))

/** What a measure of a thing is called where the thing stands above it. */
function side(path: string): string {
  const name = path.slice(path.lastIndexOf('.') + 1)
  return te(`measure.${name}`) ? t(`measure.${name as 'x'}`) : (field(path)?.label ?? '')
}

/** The names of the unit's parts of a kind. */
const partsOf = (kind?: string): string[] =>
  kind === undefined
    ? []
    : (machine.view?.parts ?? []).flatMap((part) =>
        part.startsWith(`${kind}:`) ? [part.slice(kind.length + 1)] : [],
      )

/** Words to press that the sheet knows, such as the taps of a transformer. */
function known(row: Extract<Row, { row: 'words' }>): { value: string; text: string }[] | undefined {
  const picks = row.picks?.(bench.prefill.value, bench.draft.value) ?? []
  if (picks.length > 0) return picks
  const list = row.from === undefined ? undefined : bench.prefill.value[row.from]
  if (!Array.isArray(list) || list.length === 0) return undefined
  return list.map((one) => ({ value: String(one), text: String(one) }))
}
</script>

<template>
  <div class="rows">
    <SheetRow v-if="folded.length > 0" :fields="folded" />
    <FieldCell v-for="f in open" :key="f.name" :field="f" :at="f.name" />
    <template v-for="(row, i) in rows" :key="i">
      <template v-if="row.row === 'figure' || row.row === 'words'">
        <FieldCell
          v-if="field(row.field)"
          :field="field(row.field)!"
          :at="row.field"
          :choices="row.row === 'words' ? known(row) : undefined"
        >
          <button
            v-for="part in row.row === 'figure' ? partsOf(row.parts) : []"
            :key="part"
            type="button"
            class="press small"
            @click="bench.draft.value.values[row.field] = part"
          >
            {{ part }}
          </button>
          <button
            v-if="row.row === 'words' && row.as && isTyped(bench.draft.value.values[row.as])"
            type="button"
            class="press small"
            @click="bench.draft.value.values[row.field] = bench.draft.value.values[row.as]"
          >
            {{ t('bench.asIs', { what: (field(row.as)?.label ?? '').toLowerCase() }) }}
          </button>
        </FieldCell>
      </template>
      <fieldset v-else-if="row.row === 'grid'" class="grid" :class="`by${row.columns}`">
        <legend v-if="row.title">{{ field(row.title)?.label }}</legend>
        <FieldCell
          v-for="name in row.fields.filter((one) => field(one) && !isFolded(one))"
          :key="name"
          :field="field(name)!"
          :at="name"
          :label="row.title ? side(name) : undefined"
          :series="row.fields"
          compact
        />
      </fieldset>
      <OptionalRow v-else-if="row.row === 'optional'" :group="row.group" />
      <TableRow v-else-if="row.row === 'table'" :of="row" />
      <TreeRow v-else-if="row.row === 'tree'" :of="row" />
      <TreeFileRow v-else-if="row.row === 'treeFile'" :of="row.of" />
      <LiveRow v-else-if="row.row === 'live'" :of="row.of" />
      <MatrixRow v-else-if="row.row === 'matrix'" :of="row" />
      <WalkedRow v-else />
    </template>
    <FieldCell v-for="one in shownRest" :key="one.path" :field="one.field" :at="one.path" />
    <button v-if="hidden.length > 0" type="button" class="more" @click="more = true">
      {{
        t('bench.more', {
          what: hidden
            .slice(0, 3)
            .map((one) => one.field.label.toLowerCase())
            .join(', '),
        })
      }}
    </button>
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  gap: 4px 8px;
  align-items: end;
  padding: 4px 0 6px;
  border-bottom: 1px solid var(--rule);
}
/* A box stays where it is when a sentence comes below the one beside it. */
.grid:has(.problem) {
  align-items: start;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
  min-width: 0;
}
legend {
  grid-column: 1 / -1;
  padding: 4px 0 0;
  font-size: 16px;
  line-height: 1.2;
}
.by4 {
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 4px 5px;
}
.by4 :deep(.figure) {
  padding: 0 2px;
  font-size: 25px;
}
.by4 :deep(.unit) {
  min-width: 26px;
  padding: 0 4px 0 0;
}
.by3 {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}
.by2 {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
.more {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  font-size: 15px;
  text-align: left;
  text-decoration: underline;
  color: var(--iron);
}
</style>
