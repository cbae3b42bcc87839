<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { shownUnit } from '@/lib/reading'
import { useSession } from '@/stores/session'
import { short } from './figures'
import { boundsOf, inUnit, offsetOf, type Point, type Scene, stepOf, unitOf } from './scene'

/**
 * A drawing to scale: bodies, dimension lines as they are drawn on a job, and handles. What is dragged follows the
 * finger at once; everything that hangs on it follows the next verdict.
 */
const props = defineProps<{
  drawing: Scene
  /** The measure that does not work, and why. */
  wrong?: { field: string; words: string } | undefined
  label?: ((path: string) => string) | undefined
  /** Only to be looked at. */
  fixed?: boolean
}>()
const emit = defineEmits<{ drag: [path: string, metres: number] }>()
const { t } = useI18n()
const session = useSession()
const id = useId()
const WIDTH = 360
const TALLEST = 380
const MARGIN = 30
const TICK = 5
/** Where a body's name stands, and how far off in the drawing's own measure. */
const NAMES: Record<string, (low: number, high: number) => [number, number]> = {
  top: (_, high) => [high, 15],
  bottom: (low) => [low, -6],
  above: (_, high) => [high, -6],
  below: (low) => [low, 15],
}

const bounds = computed(() => boundsOf(props.drawing))
const scale = computed(() => {
  const { left, right, bottom, top } = bounds.value
  const [wide, high] = [Math.max(right - left, 1e-6), Math.max(top - bottom, 1e-6)]
  return Math.min((WIDTH - 2 * MARGIN) / wide, (TALLEST - 2 * MARGIN) / high)
})
const height = computed(() => (bounds.value.top - bounds.value.bottom) * scale.value + 2 * MARGIN)
const shift = computed(
  () =>
    (WIDTH - (bounds.value.right - bounds.value.left) * scale.value) / 2 - bounds.value.left * scale.value,
)
const x = (metres: number) => shift.value + metres * scale.value
const y = (metres: number) => height.value - MARGIN - (metres - bounds.value.bottom) * scale.value
const at = ([px, py]: Point) => `${x(px).toFixed(2)} ${y(py).toFixed(2)}`
const path = (body: Scene['bodies'][number]) => `M${body.points.map(at).join(' L')}${body.closed ? ' Z' : ''}`
const named = computed(() =>
  props.drawing.bodies
    .filter((body) => body.name)
    .map((body) => {
      const xs = body.points.map((p) => p[0])
      const ys = body.points.map((p) => p[1])
      const [low, high] = [Math.min(...ys), Math.max(...ys)]
      const [level, off] = NAMES[body.at]?.(low, high) ?? [(low + high) / 2, 5]
      return {
        id: body.id,
        name: body.name,
        x: x((Math.min(...xs) + Math.max(...xs)) / 2),
        y: y(level) + off,
      }
    }),
)
const isWrong = (field: string) =>
  field !== '' &&
  props.wrong !== undefined &&
  (props.wrong.field === field || field.startsWith(`${props.wrong.field}.`))

const dims = computed(() =>
  props.drawing.dims.map((dim) => {
    const [dx, dy] = offsetOf(dim)
    const from: Point = [dim.from[0] + dx, dim.from[1] + dy]
    const to: Point = [dim.to[0] + dx, dim.to[1] + dy]
    const isUpright = Math.abs(to[1] - from[1]) > Math.abs(to[0] - from[0])
    const [mx, my] = [(x(from[0]) + x(to[0])) / 2, (y(from[1]) + y(to[1])) / 2]
    return {
      field: dim.field,
      is: isWrong(dim.field) ? 'stop' : dim.is,
      text: dim.text,
      value: dim.value,
      line: `M${at(from)} L${at(to)}`,
      ext: dim.away === 0 ? '' : `M${at(dim.from)} L${at(from)} M${at(dim.to)} L${at(to)}`,
      ticks: [from, to]
        .map(([px, py]) => `M${x(px) - TICK} ${y(py) + TICK} l${2 * TICK} ${-2 * TICK}`)
        .join(' '),
      x: mx + (isUpright ? -6 : 0),
      y: my + (isUpright ? 0 : -6),
      turn: isUpright ? `rotate(-90 ${mx - 6} ${my})` : '',
    }
  }),
)
/** The dimension a wrong measure has no line for is told under the drawing. */
const untold = computed(() => (props.wrong === undefined ? '' : props.wrong.words))

type Handle = Scene['handles'][number]
type Held = { handle: Handle; from: Point; grabbed: Point; by: Point; isDown: boolean }
const held = ref<Held | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const sign = (field: string) => (field.startsWith('-') ? -1 : 1)
const bare = (field: string) => field.replace(/^-/, '')
const keyOf = (handle: Handle) => `${handle.body}|${handle.x}|${handle.y}`
const handles = computed(() => (props.fixed ? [] : props.drawing.handles))
/** How far the one that is held stands from where the drawing has it: less and less as the drawing follows. */
const ahead = computed<Point>(() => {
  const now = held.value
  const drawn = handles.value.find((one) => now !== null && keyOf(one) === keyOf(now.handle))
  if (now === null || drawn === undefined) return [0, 0]
  return [now.from[0] + now.by[0] - drawn.at[0], now.from[1] + now.by[1] - drawn.at[1]]
})
const isHeld = (handle: Handle) => held.value !== null && keyOf(held.value.handle) === keyOf(handle)
const moved = (body: string) =>
  held.value !== null && body !== '' && held.value.handle.body === body
    ? `translate(${ahead.value[0] * scale.value} ${-ahead.value[1] * scale.value})`
    : ''

/** What its measures were when it was taken hold of. */
const started = ref<{ x: number; y: number }>({ x: 0, y: 0 })

function take(handle: Handle, event: PointerEvent) {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = { handle, from: handle.at, grabbed: place(event), by: [0, 0], isDown: true }
  started.value = { x: handle.value.x, y: handle.value.y }
}

function place(event: PointerEvent): Point {
  const matrix = svg.value?.getScreenCTM()
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix?.inverse())
  return [point.x / scale.value, -point.y / scale.value]
}

function pull(event: PointerEvent) {
  const now = held.value
  if (now?.isDown !== true) return
  const [px, py] = place(event)
  now.by = [now.handle.x === '' ? 0 : px - now.grabbed[0], now.handle.y === '' ? 0 : py - now.grabbed[1]]
  void tellSoon()
}

/** The numbers follow when the hand rests, and now and then while it moves: the body alone keeps up with it. */
const REST_MS = 60
const AT_LEAST_MS = 500
const tellSoon = useDebounceFn(() => tellNow(), REST_MS, { maxWait: AT_LEAST_MS })
function tellNow() {
  if (held.value?.isDown === true) tell(held.value.handle, held.value.by)
}

/** What its measures are where it is held now. */
const heldText = computed(() => {
  const now = held.value
  if (now === null) return ''
  const unit = unitOf(props.drawing.small, session.units)
  const said = (field: string, from: number, by: number) =>
    field === '' ? [] : [`${inUnit(from + sign(field) * by, unit)} ${shownUnit(unit)}`]
  return [
    ...said(now.handle.x, started.value.x, now.by[0]),
    ...said(now.handle.y, started.value.y, now.by[1]),
  ].join(', ')
})

function tell(handle: Handle, by: Point) {
  if (handle.x !== '') emit('drag', bare(handle.x), started.value.x + sign(handle.x) * by[0])
  if (handle.y !== '') emit('drag', bare(handle.y), started.value.y + sign(handle.y) * by[1])
}

function drop() {
  if (held.value?.isDown !== true) return
  tellNow()
  held.value.isDown = false
}
// What was let go stays where it is until the drawing has come after it.
watch([() => props.drawing, () => props.wrong], () => {
  if (held.value?.isDown === false) held.value = null
})

const ARROWS: Record<string, Point> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

/** One step of the unit at a press, four with shift. */
function nudge(handle: Handle, event: KeyboardEvent) {
  const way = ARROWS[event.key]
  if (way === undefined || (way[0] !== 0 ? handle.x : handle.y) === '') return
  event.preventDefault()
  const step = stepOf(unitOf(props.drawing.small, session.units)) * (event.shiftKey ? 4 : 1)
  if (way[0] !== 0) emit('drag', bare(handle.x), handle.value.x + sign(handle.x) * way[0] * step)
  else emit('drag', bare(handle.y), handle.value.y + sign(handle.y) * way[1] * step)
}
const nameOf = (handle: Handle) =>
  [handle.x, handle.y]
    .filter((field) => field !== '')
    .map((field) => {
      return `${props.label?.(bare(field)) ?? bare(field)} ${field === handle.x ? handle.text.x : handle.text.y}`
    })
    .join(', ')
const told = computed(() =>
  [
    ...props.drawing.bodies.filter((body) => body.name).map((body) => body.name),
    ...dims.value
      .filter((dim) => dim.field !== '')
      .map((dim) => `${props.label?.(dim.field) ?? ''} ${dim.text}`),
  ].join(', '),
)
</script>

<template>
  <figure class="scene">
    <svg
      ref="svg"
      :viewBox="`0 0 ${WIDTH} ${height}`"
      :data-scale="scale"
      role="group"
      :aria-label="told"
      @pointermove="pull"
      @pointerup="drop"
      @pointercancel="drop"
    >
      <defs>
        <pattern
          :id="`${id}-earth`"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="8" class="hatch" />
        </pattern>
      </defs>
      <g v-for="body in drawing.bodies" :key="body.id" :transform="moved(body.id)" :data-body="body.id">
        <path :d="path(body)" class="body" :class="body.is" />
        <path v-if="body.is === 'ground'" :d="path(body)" :fill="`url(#${id}-earth)`" />
      </g>
      <text v-for="one in named" :key="one.id" :x="one.x" :y="one.y" :transform="moved(one.id)" class="name">
        {{ one.name }}
      </text>
      <g
        v-for="(dim, i) in dims"
        :key="i"
        class="dim"
        :class="dim.is"
        :data-dim="dim.field"
        :data-metres="dim.value"
      >
        <path v-if="dim.ext" :d="dim.ext" class="ext" />
        <path :d="dim.line" class="line" />
        <path :d="dim.ticks" class="tick" />
        <text :x="dim.x" :y="dim.y" :transform="dim.turn">{{ dim.text }}</text>
      </g>
      <g v-for="(mark, i) in drawing.marks" :key="`m${i}`" class="mark">
        <circle :cx="x(mark.at[0])" :cy="y(mark.at[1])" r="4" />
        <text :x="x(mark.at[0])" :y="y(mark.at[1]) - 8">
          {{ short(mark.value, 0) }} {{ shownUnit(mark.unit) }}
        </text>
      </g>
      <g
        v-for="handle in handles"
        :key="keyOf(handle)"
        class="handle"
        :class="{ held: isHeld(handle) }"
        :transform="isHeld(handle) ? `translate(${ahead[0] * scale} ${-ahead[1] * scale})` : ''"
        role="slider"
        tabindex="0"
        :aria-label="nameOf(handle)"
        :aria-valuenow="handle.x !== '' ? handle.value.x : handle.value.y"
        :aria-valuetext="nameOf(handle)"
        :data-handle="[handle.x, handle.y].filter(Boolean).join(' ')"
        @pointerdown.prevent="take(handle, $event)"
        @keydown="nudge(handle, $event)"
      >
        <circle :cx="x(handle.at[0])" :cy="y(handle.at[1])" r="22" class="reach" />
        <circle :cx="x(handle.at[0])" :cy="y(handle.at[1])" r="7" class="grip" />
        <path
          :d="`${handle.x ? `M${x(handle.at[0]) - 13} ${y(handle.at[1])} h26` : ''} ${handle.y ? `M${x(handle.at[0])} ${y(handle.at[1]) - 13} v26` : ''}`"
          class="ways"
        />
        <text v-if="isHeld(handle)" :x="x(handle.at[0])" :y="y(handle.at[1]) - 18" class="live">
          {{ heldText }}
        </text>
      </g>
    </svg>
    <figcaption v-if="untold" class="wrong">{{ untold }}</figcaption>
    <figcaption v-else-if="handles.length > 0" class="hint">{{ t('drawing.drag') }}</figcaption>
  </figure>
</template>

<style scoped>
.scene {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  touch-action: pan-y;
  user-select: none;
}
.body {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linejoin: round;
}
.over {
  fill: var(--iron-soft);
  fill-opacity: 0.18;
}
.hole,
.cut {
  stroke-width: 1.5;
}
.hole {
  fill: var(--ground);
}
.cut {
  fill: var(--forge);
  fill-opacity: 0.16;
  stroke: var(--forge);
}
.pale {
  stroke: var(--iron-soft);
  stroke-dasharray: 5 4;
  stroke-width: 1.5;
}
.stop {
  fill: var(--stop);
  fill-opacity: 0.16;
  stroke: var(--stop);
}
.ground {
  stroke-width: 1.5;
}
.wall,
.pipe {
  stroke-width: 2.5;
}
.pipe {
  stroke-width: 9;
  stroke: var(--iron-soft);
  stroke-opacity: 0.5;
}
.water {
  stroke: var(--iron);
  stroke-width: 5;
}
.hatch {
  stroke: var(--rule);
  stroke-width: 1.5;
}
.name {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--iron-soft);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.dim text {
  font: 500 16px/1 var(--figures);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  fill: var(--ink);
}
.dim path {
  fill: none;
  stroke: var(--iron-soft);
  stroke-width: 1;
}
.dim .tick {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.dim.stop text {
  fill: var(--stop);
  font-weight: 700;
}
.dim.stop path {
  stroke: var(--stop);
  stroke-width: 2;
}
.mark text {
  font: 500 15px/1 var(--figures);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.handle {
  cursor: grab;
  outline: 0;
  touch-action: none;
}
.held {
  cursor: grabbing;
}
.reach {
  fill: transparent;
}
.grip {
  fill: var(--paper);
  stroke: var(--forge);
  stroke-width: 3;
}
.live {
  font: 600 16px/1 var(--figures);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
  fill: var(--ink);
}
.ways {
  stroke: var(--forge);
  stroke-width: 2;
}
.handle:focus-visible .reach {
  stroke: var(--forge);
  stroke-width: 3;
}
.hint,
.wrong {
  font-size: 14px;
  color: var(--iron-soft);
}
.wrong {
  color: var(--stop);
}
</style>
