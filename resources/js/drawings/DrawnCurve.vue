<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3-scale'
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { shownUnit } from '@/lib/reading'
import { along, freest, short, type Box } from './figures'

/** Readings over time, with the lines they are held against; what came before the last start is drawn pale. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'curve' }> }>()
const WIDTH = 360
const HEIGHT = 260
const LEFT = 46
const FOOT = 34
const TOP = 16
/** px of the time's line that its unit takes. */
const UNIT = 42
/** Points more than these run into one line. */
const DOTTED = 40
const fit = computed(() => props.drawing.fit ?? [])
const band = computed(() => props.drawing.band ?? [])
const across = computed(() => props.drawing.across ?? 'min')
/** The unit stands at the end of the line: no figure beneath it. */
const times = computed(() => x.value.ticks(5).filter((tick) => x.value(tick) < WIDTH - UNIT))
const values = computed(() => [
  ...props.drawing.points.map((p) => p[1]),
  ...props.drawing.lines.map((one) => one.value),
  ...fit.value.map((p) => p[1]),
  ...band.value.flatMap((p) => [p[1], p[2]]),
])
/** Where the axis of what was read begins: from nothing, unless a band shows that the last of it is what counts. */
const floor = computed(() => (band.value.length > 0 ? Infinity : 0))
const x = computed(() =>
  scaleLinear()
    .domain([
      0,
      Math.max(
        across.value === 'min' ? 6 : 0.1,
        ...props.drawing.points.map((p) => p[0]),
        ...fit.value.map((p) => p[0]),
      ),
    ])
    .range([LEFT, WIDTH - 12])
    .nice(),
)
const y = computed(() => {
  if (props.drawing.decades)
    return scaleLog()
      .domain([Math.min(...values.value) / 1.6, Math.max(...values.value) * 1.6])
      .range([HEIGHT - FOOT, TOP])
  const [low, high] = [Math.min(floor.value, ...values.value), Math.max(0, ...values.value)]
  const room = (high - low) * 0.1 || 1
  return scaleLinear()
    .domain([low - room, high + room])
    .range([HEIGHT - FOOT, TOP])
})
const draw = (points: [number, number][]) =>
  points.length === 0 ? '' : `M${points.map((p) => `${x.value(p[0])} ${y.value(p[1])}`).join(' L')}`
const counted = computed(() => draw(props.drawing.points.slice(props.drawing.from)))
const carried = computed(() => draw(fit.value))
const allowed = computed(() =>
  band.value.length === 0
    ? ''
    : `${draw(band.value.map((p) => [p[0], p[2]]))} L${[...band.value]
        .reverse()
        .map((p) => `${x.value(p[0])} ${y.value(p[1])}`)
        .join(' L')}Z`,
)
const ticks = computed(() =>
  props.drawing.decades
    ? y.value.ticks(4).filter((one) => /^[125]/.test(String(one).replace(/^0\.0*/, '')))
    : y.value.ticks(5),
)
const before = computed(() => draw(props.drawing.points.slice(0, props.drawing.from + 1)))
const unit = computed(() => shownUnit(props.drawing.unit))
const last = computed(() => props.drawing.points.at(-1))
/** px a letter of a word, and of a figure, is wide and tall. */
const WORD = { width: 6.6, height: 15 }
const FIGURE = { width: 11, height: 22 }
const drawn = computed(() =>
  [props.drawing.points, fit.value].flatMap((line) => along(line.map((p) => [x.value(p[0]), y.value(p[1])]))),
)
/** Each line has its word where nothing else is: over it or under it, at its beginning or its end. */
const words = computed(() => {
  const taken = [...drawn.value]
  return props.drawing.lines.map((one) => {
    const text = `${one.name} ${short(one.value, 2)} ${unit.value}`
    const [width, at] = [text.length * WORD.width, y.value(one.value)]
    const place = (left: number, above: boolean): Box => ({
      x: left,
      y: above ? at - WORD.height - 2 : at + 3,
      width,
      height: WORD.height,
    })
    const [start, end] = [LEFT + 4, WIDTH - 12 - width]
    const box = freest([place(end, true), place(start, true), place(end, false), place(start, false)], taken)
    taken.push(
      ...along([
        [box.x, box.y + 7],
        [box.x + width, box.y + 7],
      ]),
    )
    return { ...one, text, ...box }
  })
})
/** The last figure beside its point, clear of the lines and their words. */
const figure = computed(() => {
  if (last.value === undefined) return undefined
  const text = short(last.value[1], 2)
  const [atX, atY] = [x.value(last.value[0]), y.value(last.value[1])]
  const width = text.length * FIGURE.width
  const place = (left: number, top: number): Box => ({
    x: Math.max(LEFT + 4, Math.min(WIDTH - 12 - width, left)),
    y: top,
    width,
    height: FIGURE.height,
  })
  const middle = atX - width / 2
  const limits = props.drawing.lines.flatMap((one) =>
    along([
      [LEFT, y.value(one.value)],
      [WIDTH - 12, y.value(one.value)],
    ]),
  )
  const said = words.value.flatMap((one) =>
    along([
      [one.x, one.y + 7],
      [one.x + one.width, one.y + 7],
    ]),
  )
  const places: [Box, ...Box[]] = [
    place(middle, atY - 8 - FIGURE.height),
    place(middle, atY + 8),
    place(atX - width - 10, atY - FIGURE.height / 2),
    place(atX + 10, atY - FIGURE.height / 2),
  ]
  return { text, ...freest(places, [...drawn.value, ...limits, ...said]) }
})
const told = computed(() =>
  props.drawing.points.map((p) => `${short(p[0])} ${across.value} ${short(p[1])} ${unit.value}`).join(', '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="curve" role="img" :aria-label="told">
    <line
      v-if="!drawing.decades && band.length === 0"
      :x1="LEFT"
      :x2="WIDTH - 12"
      :y1="y(0)"
      :y2="y(0)"
      class="zero"
    />
    <path v-if="allowed" :d="allowed" class="band" />
    <text v-for="tick in times" :key="tick" :x="x(tick)" :y="HEIGHT - 12" text-anchor="middle">
      {{ tick }}
    </text>
    <text :x="WIDTH - 12" :y="HEIGHT - 12" text-anchor="end" class="unit">{{ across }}</text>
    <text v-for="tick in ticks" :key="`y${tick}`" :x="LEFT - 7" :y="y(tick) + 5" text-anchor="end">
      {{ short(tick, 2) }}
    </text>
    <g v-for="one in words" :key="one.name" :class="one.is">
      <line :x1="LEFT" :x2="WIDTH - 12" :y1="y(one.value)" :y2="y(one.value)" class="limit" />
    </g>
    <path v-if="carried" :d="carried" class="fit" />
    <path :d="before" class="before" />
    <path :d="counted" class="read" />
    <circle
      v-for="(p, i) in drawing.points"
      :key="i"
      :cx="x(p[0])"
      :cy="y(p[1])"
      :r="drawing.points.length > DOTTED ? 1.8 : 4"
      :class="{ before: i < drawing.from }"
    />
    <g v-for="one in words" :key="`w${one.name}`" :class="one.is">
      <text :x="one.x" :y="one.y + 12" class="word">{{ one.text }}</text>
    </g>
    <text v-if="figure" :x="figure.x" :y="figure.y + 18" class="fig">{{ figure.text }}</text>
  </svg>
</template>

<style scoped>
.curve {
  display: block;
  width: 100%;
}
text {
  font-size: 13px;
  fill: var(--iron-soft);
}
.fig {
  font: 600 20px/1 var(--figures);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.zero {
  stroke: var(--rule);
}
.limit {
  stroke: var(--iron-soft);
  stroke-dasharray: 5 4;
}
.stop .limit {
  stroke: var(--stop);
  stroke-width: 2;
}
.word {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.stop .word {
  fill: var(--stop);
}
.read {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
path.fit {
  fill: none;
  stroke: var(--forge);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.band {
  fill: var(--pan);
  stroke: var(--rule);
}
path.before {
  fill: none;
  stroke: var(--rule);
  stroke-width: 2;
}
circle {
  fill: var(--ink);
}
circle.before {
  fill: var(--rule);
}
</style>
