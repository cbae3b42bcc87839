<script setup lang="ts">
import { computed } from 'vue'
import { short } from './figures'

/** A figure on a scale of bands, linear or by decades: where it stands is seen from two metres. */
const props = defineProps<{
  from: number
  to: number
  bands: { to: number; cls: string }[]
  value: number | null
  unit: string
  ticks: number[]
  decades?: boolean
}>()
const WIDTH = 300
const place = (v: number) => {
  const f = props.decades ? Math.log10 : (x: number) => x
  const at = (f(Math.min(Math.max(v, props.from), props.to)) - f(props.from)) / (f(props.to) - f(props.from))
  return 10 + at * WIDTH
}
const pieces = computed(() =>
  props.bands.map((band, i) => {
    const left = place(i === 0 ? props.from : (props.bands[i - 1]?.to ?? props.from))
    return { ...band, left, width: place(band.to) - left }
  }),
)
const label = computed(() =>
  props.value === null ? '' : `${short(props.value, props.value < 10 ? 2 : 1)} ${props.unit}`,
)
const labelAt = computed(() =>
  Math.min(Math.max(props.value === null ? 0 : place(props.value), 44), WIDTH - 24),
)
</script>

<template>
  <svg viewBox="0 0 320 132" class="scale" role="img" :aria-label="label || unit">
    <rect
      v-for="piece in pieces"
      :key="piece.left"
      :x="piece.left"
      y="56"
      :width="piece.width"
      height="34"
      :class="piece.cls"
    />
    <g v-for="tick in ticks" :key="tick">
      <line :x1="place(tick)" :x2="place(tick)" y1="50" y2="96" class="tick" />
      <text :x="place(tick)" y="114" text-anchor="middle" font-size="14">{{ tick }}</text>
    </g>
    <template v-if="value !== null">
      <path :d="`M${place(value)} 62 l-9 -16 h18z`" class="pointer" />
      <line :x1="place(value)" :x2="place(value)" y1="60" y2="92" class="needle" />
      <text :x="labelAt" y="36" text-anchor="middle" class="fig" font-size="26">{{ label }}</text>
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
.pointer {
  fill: var(--ink);
}
.needle {
  stroke: var(--paper);
  stroke-width: 3;
}
</style>
