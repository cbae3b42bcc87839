<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FieldView } from '@/api/client'
import { useBench } from '../bench'
import { dropRow, isAdded, isTyped, keysOf, listsOf, valueAt } from '../entered'
import type { Column, Item, Row } from '../spec'
import FieldCell from './FieldCell.vue'
import { feeding, follow, nextKey, type Line } from './treeLines'

/**
 * A tree, one line a unit, joint or box: what it is, what feeds it, and the pipe it comes by. A pipe that belongs to no
 * line, such as a second one to the same unit, has a line of its own below.
 */
const props = defineProps<{ of: Extract<Row, { row: 'tree' }> }>()
const bench = useBench()
const { t } = useI18n()
const check = computed(() =>
  bench.checks.value.find((one) => listsOf(one).some(({ path }) => path === 'nodes')),
)
type Table = 'nodes' | 'pipes'
const listOf = (list: Table): FieldView | undefined =>
  check.value === undefined ? undefined : listsOf(check.value).find(({ path }) => path === list)?.field
const fields = (list: Table): FieldView[] => listOf(list)?.fields ?? []
function keys(list: Table): string[] {
  const field = listOf(list)
  return check.value === undefined || field === undefined
    ? []
    : keysOf(check.value, field, bench.prefill.value, bench.draft.value, list)
}
/** What stands at a member of a line: typed, or as it was recorded. */
function stands(list: Table, key: string, member: string): unknown {
  const typed = bench.draft.value.values[`${list}.${key}.${member}`]
  if (typed !== undefined) return typed
  return isAdded(key) ? undefined : valueAt(bench.prefill.value, `${list}.${key}.${member}`)
}
const idOf = (key: string) => (isAdded(key) ? String(stands('nodes', key, 'id') ?? '').trim() : key)
const kindOf = (key: string): string => String(stands('nodes', key, 'kind') ?? '')
const nodes = computed(() => keys('nodes').map((key) => ({ key, id: idOf(key), kind: kindOf(key) })))
const pipes = computed(() =>
  keys('pipes').map((key) => ({
    key,
    from: String(stands('pipes', key, 'from') ?? ''),
    to: String(stands('pipes', key, 'to') ?? ''),
  })),
)
const lines = computed(() => feeding(nodes.value, pipes.value))
const others = computed(() => {
  const own = new Set(lines.value.map((line) => line.pipe))
  return pipes.value.filter((pipe) => !own.has(pipe.key)).map((pipe) => pipe.key)
})

/** Where a name is typed anew, the pipes that bear the old one follow it. */
const last = new Map<string, Line>()
watch(lines, (now) => follow(bench.draft.value, now, pipes.value, last), { immediate: true })
/** A pipe goes to the line it stands in, once something of it is told. */
watch(
  () =>
    lines.value
      .filter((line) => isAdded(line.pipe) && line.id !== '')
      .map((line) => ({
        at: `pipes.${line.pipe}.`,
        end: line.end,
        id: line.id,
        isTold: Object.entries(bench.draft.value.values).some(
          ([place, value]) =>
            place.startsWith(`pipes.${line.pipe}.`) && !place.endsWith(`.${line.end}`) && isTyped(value),
        ),
      })),
  (told) => {
    const { values, rows } = bench.draft.value
    for (const { at, end, id, isTold } of told) {
      if (isTold) values[at + end] = id
      else delete values[at + end]
      const key = at.slice('pipes.'.length, -1)
      if (isTold && !(rows['pipes'] ?? []).includes(key)) (rows['pipes'] ??= []).push(key)
    }
  },
  { deep: true },
)

const opened = ref(new Set<string>())
type Cell = { at: string; field: FieldView; column: Column }
function cells(list: Table, key: string, columns: Column[], item: Item, open: boolean): Cell[] {
  return columns.flatMap((column) => {
    const field = fields(list).find((one) => one.name === column.field)
    const isBack = column.seldom === true && !open && stands(list, key, column.field) === undefined
    return field === undefined || isBack || column.when?.(item, bench.context.value) === false
      ? []
      : [{ at: `${list}.${key}.${column.field}`, field, column }]
  })
}
/** What may stand at the other end of a line's pipe: what ends a line feeds nothing, a further outdoor unit feeds a joint. */
const feeds = (line: Line) =>
  nodes.value
    .filter(
      (node) =>
        node.id !== '' &&
        node.key !== line.key &&
        (line.end === 'from' ? node.kind === 'joint' : node.kind !== 'indoor'),
    )
    .map((node) => ({ value: node.id, text: node.id }))
const NAME: Column[] = [{ field: 'id' }, { field: 'kind' }]
function cellsOf(line: Line): Cell[] {
  const open = opened.value.has(line.key)
  const item = { kind: line.kind }
  const ends = pipes.value.find((pipe) => pipe.key === line.pipe)
  const source = nodes.value.find((node) => node.id !== '' && node.id === ends?.from)
  // The first outdoor unit hangs on nothing.
  const isHung =
    line.kind !== '' && (line.kind !== 'outdoor' || line.end === 'from' || ends?.from !== undefined)
  const other = line.end === 'to' ? 'from' : 'to'
  return [
    ...(isAdded(line.key) ? cells('nodes', line.key, NAME, item, true) : []),
    ...(isHung
      ? cells('pipes', line.pipe, [{ field: other }, ...props.of.pipes], { from: source?.kind ?? '' }, open)
      : []),
    ...cells('nodes', line.key, props.of.nodes, item, open),
  ]
}
const isEnd = (cell: Cell) => cell.at.startsWith('pipes.') && ['from', 'to'].includes(cell.field.name)
/** In a line the end of its pipe is what feeds it, and a port says what it is by itself. */
function labelOf(line: Line, cell: Cell): string | undefined {
  if (isEnd(cell)) return t(line.end === 'to' ? 'tree.fedFrom' : 'tree.feeds')
  return cell.at.startsWith('pipes.') && cell.field.name === 'ports' ? t('tree.ports') : undefined
}
const ENDS: Column[] = [{ field: 'from' }, { field: 'to' }]
const otherCells = (key: string) =>
  cells('pipes', key, [...ENDS, ...props.of.pipes], { from: 'box' }, opened.value.has(key))
const word = (key: string) => {
  const kind = fields('nodes').find((field) => field.name === 'kind')
  return isAdded(key) ? '' : (kind?.optionWords[kind.options.indexOf(kindOf(key))] ?? '')
}

/** One line stands there to be filled. */
watch(
  () => check.value !== undefined && nodes.value.length === 0,
  (none) => {
    if (none) (bench.draft.value.rows['nodes'] ??= []).push('+1')
  },
  { immediate: true },
)
const root = ref<HTMLElement | null>(null)
async function add() {
  const draft = bench.draft.value
  const key = nextKey([...keys('nodes'), ...keys('pipes')])
  ;(draft.rows['nodes'] ??= []).push(key)
  await nextTick()
  const parts = root.value?.querySelectorAll('.part.line')
  parts?.[parts.length - 1]?.querySelector<HTMLInputElement>('input')?.focus()
}
/** Enter at the end of the last line begins the next one. */
async function onEnter(event: KeyboardEvent) {
  const parts = root.value?.querySelectorAll('.part.line')
  const boxes = [...(parts?.[parts.length - 1]?.querySelectorAll<HTMLElement>('input, select') ?? [])]
  const last = lines.value.at(-1)
  if (event.target !== boxes.at(-1) || last === undefined || last.id === '') return
  event.preventDefault()
  event.stopPropagation()
  await add()
}
const take = (list: Table, key: string) => dropRow(bench.draft.value, list, key)
function takeLine(line: { key: string; pipe: string }) {
  take('nodes', line.key)
  if (pipes.value.some((pipe) => pipe.key === line.pipe)) take('pipes', line.pipe)
}
</script>

<template>
  <div ref="root" class="tree-lines" @keydown.enter="onEnter">
    <div
      v-for="line in lines"
      :key="line.key"
      class="part line"
      role="group"
      :aria-label="line.id || t('tree.newLine')"
    >
      <p class="name">
        <template v-if="!isAdded(line.key)">{{ line.id }}</template>
        <small v-if="word(line.key)">{{ word(line.key) }}</small>
        <button type="button" class="less" @click="takeLine(line)">
          <span aria-hidden="true">✕</span
          ><span class="sr-only">{{ t('tree.takeLine', { id: line.id || t('tree.newLine') }) }}</span>
        </button>
      </p>
      <div class="cells">
        <FieldCell
          v-for="cell in cellsOf(line)"
          :key="cell.at"
          :field="cell.field"
          :at="cell.at"
          :class="[cell.field.name, { broad: cell.column.broad }]"
          :listed="isEnd(cell) || cell.field.name === 'kind'"
          :choices="isEnd(cell) ? feeds(line) : undefined"
          :label="labelOf(line, cell)"
          compact
        />
        <button v-if="!opened.has(line.key)" type="button" class="press small" @click="opened.add(line.key)">
          {{ t('bench.moreOf') }}
        </button>
      </div>
    </div>
    <button type="button" class="press small" @click="add">{{ t('tree.addLine') }}</button>
    <div
      v-for="key in others"
      :key="key"
      class="part"
      role="group"
      :aria-label="
        t('tree.otherPipe', { from: stands('pipes', key, 'from'), to: stands('pipes', key, 'to') })
      "
    >
      <p class="name">
        <small>{{
          t('tree.otherPipe', { from: stands('pipes', key, 'from'), to: stands('pipes', key, 'to') })
        }}</small>
        <button type="button" class="less" @click="take('pipes', key)">
          <span aria-hidden="true">✕</span><span class="sr-only">{{ t('bench.takeRow') }}</span>
        </button>
      </p>
      <div class="cells">
        <FieldCell v-for="cell in otherCells(key)" :key="cell.at" :field="cell.field" :at="cell.at" compact />
      </div>
    </div>
  </div>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: minmax(64px, max-content) minmax(0, 1fr);
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
.cells {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 4px 7px;
}
.cells > * {
  flex: 1 1 68px;
  min-width: 0;
}
.cells > .broad,
.cells > .from,
.cells > .to,
.cells > .id {
  flex: 1 1 92px;
}
.cells > .liquid_od,
.cells > .gas_od {
  flex: 1 1 104px;
}
.cells > .kind {
  flex: 1 1 130px;
}
.cells > .ports {
  flex: 1 1 64px;
}
.cells > .capacity,
.cells > .room,
.cells > .capped {
  flex: 1 1 160px;
}
.cells > .press {
  flex: none;
}
.cells > :deep(.choice) {
  flex: 0 1 auto;
  padding: 0;
  border: 0;
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
.tree-lines > .press {
  margin: 8px 0;
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
