<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'
import { short } from './figures'

/**
 * Stages over one scale of room temperature, each from where it goes off to where it comes on; a temperature to drag,
 * under which they come and go; and a day of it where there is one.
 */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'ladder' }> }>()
const { t } = useI18n()
const WIDTH = 360
const HEIGHT = 318
const FOOT = 262
const TOP = 14
const LEFT = 58
const RIGHT = 284
/** Half a degree on the scale that is shown. */
const STEP = 0.5
const isUs = computed(() => props.drawing.units === 'us')
const shown = (celsius: number) => (isUs.value ? celsius * 1.8 + 32 : celsius)
const kept = (degrees: number) => (isUs.value ? (degrees - 32) / 1.8 : degrees)
const said = (celsius: number) => `${short(shown(celsius), 1)}°`
const ends = computed(() => {
  const all = [
    ...props.drawing.rungs.flatMap((one) => [one.on, one.off]),
    props.drawing.setpoints.cool,
    props.drawing.setpoints.heat,
    ...(props.drawing.economizer === null ? [] : [props.drawing.economizer]),
  ]
  return [Math.min(...all) - 1, Math.max(...all) + 1] as const
})
const y = computed(() => scaleLinear().domain(ends.value).range([FOOT, TOP]))
const wide = computed(() => (RIGHT - LEFT) / Math.max(1, props.drawing.rungs.length))
/** Heat stands left of cooling, as it stands below it. */
const rungs = computed(() =>
  [...props.drawing.rungs]
    .sort((a, b) => Number(a.kind === 'cool') - Number(b.kind === 'cool'))
    .map((one, i) => ({
      ...one,
      key: `${one.kind}${one.n}`,
      called: `${one.name} ${one.n}`,
      x: LEFT + i * wide.value,
    })),
)
const lines = computed(() => [
  { at: props.drawing.setpoints.cool, name: t('ladder.cool') },
  { at: props.drawing.setpoints.heat, name: t('ladder.heat') },
  ...(props.drawing.economizer === null
    ? []
    : [{ at: props.drawing.economizer, name: t('ladder.economizer') }]),
])
/** The words at the right keep clear of each other. */
const words = computed(() => {
  let above = -Infinity
  return [...lines.value]
    .sort((a, b) => b.at - a.at)
    .map((line) => {
      above = Math.max(y.value(line.at) - 3, above + 38)
      return { ...line, y: above }
    })
})
const ticks = computed(() => scaleLinear().domain(ends.value.map(shown)).ticks(6))

const room = ref(0)
const on = ref(new Set<string>())
watch(
  () => [props.drawing.setpoints.cool, props.drawing.setpoints.heat] as const,
  ([cool, heat]) => {
    on.value = new Set()
    room.value = (cool + heat) / 2
    settle()
  },
  { immediate: true },
)
/** A stage comes on past its one temperature and goes off past its other; in between it stays as it was. */
function settle() {
  const now = new Set(on.value)
  for (const one of rungs.value) {
    const cools = one.kind === 'cool'
    const before = `${one.kind}${one.n - 1}`
    const mayStart = one.n === 1 || now.has(before)
    if (mayStart && (cools ? room.value > one.on : room.value < one.on)) now.add(one.key)
    else if (cools ? room.value < one.off : room.value > one.off) now.delete(one.key)
  }
  on.value = now
}
function to(celsius: number) {
  const [low, high] = ends.value
  room.value = Math.min(high, Math.max(low, kept(Math.round(shown(celsius) / STEP) * STEP)))
  settle()
}
const frame = ref<SVGSVGElement | null>(null)
const held = ref(false)
function drag(event: PointerEvent) {
  const box = frame.value?.getBoundingClientRect()
  if (!held.value || box === undefined || box.height === 0) return
  to(y.value.invert(((event.clientY - box.top) / box.height) * HEIGHT))
}
function hold(event: PointerEvent) {
  held.value = true
  frame.value?.setPointerCapture?.(event.pointerId)
  drag(event)
}
const steps: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 4,
  PageDown: -4,
}
function key(event: KeyboardEvent) {
  const by = steps[event.key]
  if (by === undefined) return
  event.preventDefault()
  to(kept(shown(room.value) + by * STEP))
}
const running = computed(() => rungs.value.filter((one) => on.value.has(one.key)).map((one) => one.called))
const told = computed(
  () =>
    `${said(room.value)}: ${running.value.length === 0 ? t('ladder.nothing') : t('ladder.runs', { what: running.value.join(', ') })}`,
)
const alt = computed(() =>
  rungs.value
    .map((one) => t('ladder.rung', { name: one.called, on: said(one.on), off: said(one.off) }))
    .join('; '),
)

const DAY = 140
const dayY = computed(() => {
  const all = props.drawing.trace.map((p) => p[1])
  const { cool, heat } = props.drawing.setpoints
  return scaleLinear()
    .domain([Math.min(...all, heat) - 0.5, Math.max(...all, cool) + 0.5])
    .range([DAY - 22, 8])
})
const dayX = scaleLinear()
  .domain([0, 24])
  .range([LEFT, WIDTH - 14])
const day = computed(() =>
  props.drawing.trace.length === 0
    ? ''
    : `M${props.drawing.trace.map((p) => `${dayX(p[0]).toFixed(1)} ${dayY.value(p[1]).toFixed(1)}`).join(' L')}`,
)
const most = computed(() => Math.max(...props.drawing.trace.map((p) => p[1])))
const least = computed(() => Math.min(...props.drawing.trace.map((p) => p[1])))
</script>

<template>
  <div class="ladder">
    <svg
      ref="frame"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      @pointerdown="hold"
      @pointermove="drag"
      @pointerup="held = false"
      @pointercancel="held = false"
    >
      <g role="img" :aria-label="alt">
        <text
          v-for="tick in ticks"
          :key="tick"
          :x="LEFT - 10"
          :y="y(kept(tick)) + 6"
          text-anchor="end"
          class="soft"
        >
          {{ tick }}
        </text>
        <g v-for="line in lines" :key="line.name">
          <line :x1="LEFT" :x2="RIGHT" :y1="y(line.at)" :y2="y(line.at)" class="set" />
        </g>
        <g v-for="word in words" :key="word.name">
          <text :x="RIGHT + 5" :y="word.y" class="soft">{{ word.name }}</text>
          <text :x="RIGHT + 5" :y="word.y + 17" class="fig">{{ said(word.at) }}</text>
        </g>
        <g v-for="one in rungs" :key="one.key">
          <rect
            :x="one.x + 8"
            :width="wide - 16"
            :y="Math.min(y(one.on), y(one.off))"
            :height="Math.max(2, Math.abs(y(one.on) - y(one.off)))"
            :class="['rung', { running: on.has(one.key) }]"
          />
          <line :x1="one.x + 8" :x2="one.x + wide - 8" :y1="y(one.on)" :y2="y(one.on)" class="edge" />
          <text
            :x="one.x + wide / 2"
            :y="y(one.on) + (one.on > one.off ? -5 : 16)"
            text-anchor="middle"
            class="fig"
          >
            {{ said(one.on) }}
          </text>
          <text :x="one.x + wide / 2" :y="FOOT + 24" text-anchor="middle" class="word">{{ one.called }}</text>
          <text :x="one.x + wide / 2" :y="FOOT + 44" text-anchor="middle" class="soft">
            {{ on.has(one.key) ? t('ladder.on') : t('ladder.off') }}
          </text>
        </g>
      </g>
      <g
        role="slider"
        tabindex="0"
        class="room"
        aria-orientation="vertical"
        :aria-label="t('ladder.room')"
        :aria-valuemin="Math.round(shown(ends[0]))"
        :aria-valuemax="Math.round(shown(ends[1]))"
        :aria-valuenow="Number(shown(room).toFixed(1))"
        :aria-valuetext="told"
        :transform="`translate(0 ${y(room)})`"
        @keydown="key"
      >
        <rect x="0" y="-24" :width="WIDTH" height="48" class="reach" />
        <line :x1="LEFT - 6" :x2="RIGHT + 2" y1="0" y2="0" />
        <path :d="`M${LEFT - 6} 0 l-12 -13 h-40 v26 h40 z`" class="grip" />
        <text :x="LEFT - 34" y="5" text-anchor="middle" class="now">{{ said(room) }}</text>
      </g>
    </svg>
    <p class="told" aria-live="polite">{{ told }}</p>
    <svg
      v-if="day"
      :viewBox="`0 0 ${WIDTH} ${DAY}`"
      role="img"
      :aria-label="t('ladder.day', { low: said(least), high: said(most) })"
    >
      <line
        v-for="line in lines.slice(0, 2)"
        :key="line.name"
        :x1="LEFT"
        :x2="WIDTH - 14"
        :y1="dayY(line.at)"
        :y2="dayY(line.at)"
        class="set"
      />
      <text
        v-for="line in lines.slice(0, 2)"
        :key="line.name"
        :x="LEFT - 10"
        :y="dayY(line.at) + 5"
        text-anchor="end"
        class="soft"
      >
        {{ said(line.at) }}
      </text>
      <path :d="day" class="day" />
      <text
        v-for="hour in [0, 6, 12, 18, 24]"
        :key="hour"
        :x="dayX(hour)"
        :y="DAY - 4"
        text-anchor="middle"
        class="soft"
      >
        {{ t('ladder.hour', { hour }) }}
      </text>
    </svg>
    <p v-if="day" class="told">
      {{
        rungs
          .filter((one) => one.busiest !== null)
          .map((one) => t('ladder.busiest', { name: one.called, count: one.busiest ?? 0 }))
          .join('; ')
      }}
    </p>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
svg:first-child {
  touch-action: none;
}
text {
  font-size: 16px;
  fill: var(--ink);
}
.soft {
  fill: var(--iron-soft);
}
.fig {
  font: 600 20px/1 var(--figures);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.word {
  font-size: 17px;
  font-weight: 600;
}
.set {
  stroke: var(--iron-soft);
  stroke-dasharray: 4 4;
}
.rung {
  fill: var(--rule);
}
.rung.running {
  fill: var(--iron);
}
.edge {
  stroke: var(--ink);
  stroke-width: 4;
}
.room {
  cursor: ns-resize;
  outline: 0;
}
.reach {
  fill: transparent;
}
.room line {
  stroke: var(--forge);
  stroke-width: 3;
}
.grip {
  fill: var(--forge);
}
.room:focus-visible .grip {
  stroke: var(--ink);
  stroke-width: 3;
}
.now {
  font: 600 19px/1 var(--figures);
  fill: var(--on-forge);
}
.told {
  padding: 4px 0 8px;
  font-size: 16px;
}
.day {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
