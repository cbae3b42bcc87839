<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'
import CoilStrip from './CoilStrip.vue'
import { freest, short, type Box } from './figures'

/** Air as points over dry bulb and water, with lines of equal humidity; from point to point where it goes through a coil. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'psychrometric' }> }>()
const { t } = useI18n()
const WIDTH = 360
const HEIGHT = 270
const FOOT = 238
const TOP = 12
const LEFT = 10
const RIGHT = 322
const fahrenheit = (celsius: number) => (props.drawing.units === 'us' ? celsius * 1.8 + 32 : celsius)
/** Grains a pound, or grams a kilogram. */
const water = (grams: number) => (props.drawing.units === 'us' ? grams * 7 : grams)
const all = computed(() => props.drawing.lines_of.flatMap((line) => line.points))
/** Up to a little over what is shown: the upper left of the chart is empty. */
const most = computed(() => Math.max(20, ...props.drawing.spots.map((spot) => spot.y * 1.4)))
const x = computed(() =>
  scaleLinear()
    .domain([Math.min(...all.value.map((p) => p[0])), Math.max(...all.value.map((p) => p[0]))])
    .range([LEFT, RIGHT]),
)
const y = computed(() => scaleLinear().domain([0, most.value]).range([FOOT, TOP]))
const lines = computed(() =>
  props.drawing.lines_of.map((line) => {
    const shown = line.points.filter((p) => p[1] <= most.value * 1.02)
    return {
      humidity: line.humidity,
      d: shown.length < 2 ? '' : `M${shown.map((p) => `${x.value(p[0])} ${y.value(p[1])}`).join(' L')}`,
      end: shown.at(-1),
    }
  }),
)
const ticks = computed(() =>
  scaleLinear()
    .domain(x.value.domain().map(fahrenheit))
    .ticks(5)
    .map((tick) => ({ tick, at: x.value(props.drawing.units === 'us' ? (tick - 32) / 1.8 : tick) }))
    .filter((one) => one.at < RIGHT - 30),
)
const spots = computed(() => {
  const taken: [number, number][] = props.drawing.spots.map((spot) => [x.value(spot.x), y.value(spot.y)])
  return props.drawing.spots.map((spot) => {
    const text = `${spot.name} ${short(fahrenheit(spot.x), 0)}°`
    const [width, height] = [text.length * 7, 15]
    const [atX, atY] = [x.value(spot.x), y.value(spot.y)]
    const place = (left: number, top: number): Box => ({
      x: Math.max(LEFT, Math.min(RIGHT - width, left)),
      y: top,
      width,
      height,
    })
    const box = freest(
      [
        place(atX - width / 2, atY - 24),
        place(atX - width / 2, atY + 9),
        place(atX + 9, atY - 8),
        place(atX - width - 9, atY - 8),
      ],
      taken,
    )
    taken.push([box.x + 4, box.y + 7], [box.x + width / 2, box.y + 7], [box.x + width - 4, box.y + 7])
    return { ...spot, text, atX, atY, box }
  })
})
const way = computed(() => {
  const [first, second] = spots.value
  return props.drawing.joined && first && second
    ? `M${first.atX} ${first.atY} L${second.atX} ${second.atY}`
    : ''
})
const told = computed(() =>
  props.drawing.spots
    .map(
      (one) =>
        `${one.name} ${short(fahrenheit(one.x), 1)}°, ${short(water(one.y), 1)} ${t(`psychrometric.${props.drawing.units}`)}`,
    )
    .join('; '),
)
</script>

<template>
  <CoilStrip v-if="drawing.coil" :coil="drawing.coil" />
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="psychrometric" role="img" :aria-label="told">
    <line :x1="LEFT" :x2="RIGHT" :y1="FOOT" :y2="FOOT" class="axis" />
    <g v-for="line in lines" :key="line.humidity">
      <path v-if="line.d" :d="line.d" :class="['line', { full: line.humidity === 100 }]" />
      <text v-if="line.end" :x="x(line.end[0]) + 3" :y="y(line.end[1]) + 4" class="small">
        {{ line.humidity }}%
      </text>
    </g>
    <text v-for="one in ticks" :key="one.tick" :x="one.at" :y="FOOT + 18" text-anchor="middle">
      {{ one.tick }}
    </text>
    <text :x="RIGHT" :y="FOOT + 18" text-anchor="end">{{ drawing.units === 'us' ? '°F' : '°C' }}</text>
    <path v-if="way" :d="way" class="way" />
    <g v-for="(spot, i) in spots" :key="spot.name">
      <circle :cx="spot.atX" :cy="spot.atY" r="6" :class="{ wanted: drawing.joined && i === 1 }" />
      <text :x="spot.box.x" :y="spot.box.y + 12" class="word">{{ spot.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.psychrometric {
  display: block;
  width: 100%;
}
text {
  font-size: 13px;
  fill: var(--iron-soft);
}
.small {
  font-size: 11px;
}
.word {
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.axis {
  stroke: var(--iron-soft);
}
.line {
  fill: none;
  stroke: var(--rule);
}
.full {
  stroke: var(--iron);
  stroke-width: 2;
}
.way {
  fill: none;
  stroke: var(--forge);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
circle {
  fill: var(--ink);
}
circle.wanted {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
