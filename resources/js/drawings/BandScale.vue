<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3-scale'
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { shownUnit } from '@/lib/reading'
import { short } from './figures'

/** A figure on a scale of bands, linear or by decades: where it stands is seen from two metres. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'scale' }> }>()
const LEFT = 10
const RIGHT = 310
const to = computed(() => props.drawing.bands.at(-1)?.to ?? 1)
const scale = computed(() =>
  (props.drawing.decades ? scaleLog() : scaleLinear())
    .domain([props.drawing.from, to.value])
    .range([LEFT, RIGHT])
    .clamp(true),
)
const pieces = computed(() =>
  props.drawing.bands.map((band, i) => {
    const left = scale.value(i === 0 ? props.drawing.from : (props.drawing.bands[i - 1]?.to ?? 0))
    return { ...band, left, width: scale.value(band.to) - left }
  }),
)
const ticks = computed(() => props.drawing.bands.slice(0, -1).map((band) => band.to))
/** px between two figures under the scale. */
const APART = 40
/** The ends of what is good have their figures, on either side of it where they are near; the others where there is room. */
const figures = computed(() => {
  const bands = props.drawing.bands
  const good = bands.findIndex((band) => band.is === 'clear')
  const ends = [bands[good - 1]?.to, good < bands.length - 1 ? bands[good]?.to : undefined]
  const [low, high] = ends.map((one) => (one === undefined ? undefined : scale.value(one)))
  const areNear = low !== undefined && high !== undefined && high - low < APART
  const places = ends.flatMap((tick, i) =>
    tick === undefined
      ? []
      : [{ tick, at: scale.value(tick), anchor: areNear ? (i === 0 ? 'end' : 'start') : 'middle' }],
  )
  const reach = areNear ? APART * 1.5 : APART
  const others = ticks.value
    .filter((tick) => !ends.includes(tick))
    .map((tick) => ({ tick, at: scale.value(tick), anchor: 'middle' }))
  return [
    ...places,
    ...others.filter(
      (one) => places.every((other) => Math.abs(other.at - one.at) > reach) && one.at < RIGHT - APART,
    ),
  ]
})
const value = computed(() => props.drawing.value)
const unit = computed(() => shownUnit(props.drawing.unit))
const label = computed(() =>
  value.value === null ? '' : `${short(value.value, value.value < 10 ? 2 : 1)} ${unit.value}`,
)
const at = computed(() => (value.value === null ? 0 : scale.value(value.value)))
const labelAt = computed(() => Math.min(Math.max(at.value, 44), RIGHT - 34))
</script>

<template>
  <svg viewBox="0 0 320 124" class="scale" role="img" :aria-label="label || unit">
    <rect
      v-for="piece in pieces"
      :key="piece.left"
      :x="piece.left"
      y="52"
      :width="piece.width"
      height="34"
      :class="piece.is"
    />
    <g v-for="tick in ticks" :key="tick">
      <line :x1="scale(tick)" :x2="scale(tick)" y1="46" y2="92" class="tick" />
    </g>
    <text
      v-for="one in figures"
      :key="`f${one.tick}`"
      :x="one.at"
      y="110"
      :text-anchor="one.anchor"
      font-size="14"
    >
      {{ short(one.tick, 2) }}
    </text>
    <text :x="RIGHT" y="110" text-anchor="end" font-size="14" class="unit">{{ unit }}</text>
    <template v-if="value !== null">
      <path :d="`M${at} 58 l-9 -16 h18z`" class="pointer" />
      <line :x1="at" :x2="at" y1="56" y2="88" class="needle" />
      <text :x="labelAt" y="32" text-anchor="middle" class="fig" font-size="26">{{ label }}</text>
    </template>
  </svg>
</template>

<style scoped>
.scale {
  display: block;
  width: 100%;
}
.clear {
  fill: var(--clear);
}
.watch {
  fill: var(--watch);
  opacity: 0.65;
}
.stop {
  fill: var(--stop);
  opacity: 0.8;
}
.tick {
  stroke: var(--paper);
  stroke-width: 2;
}
.unit {
  fill: var(--iron-soft);
}
.pointer {
  fill: var(--ink);
}
.needle {
  stroke: var(--paper);
  stroke-width: 3;
}
</style>
