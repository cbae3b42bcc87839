<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { shownUnit } from '@/lib/reading'
import { short } from './figures'

/** Steps that add up on the way of the air, each from where the one before it ends, under what all of them may reach. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'stairs' }> }>()
const WIDTH = 360
const HEIGHT = 250
const FOOT = 214
const TOP = 34
const LEFT = 10
const steps = computed(() => {
  let below = 0
  return props.drawing.bars.map((one, i) => {
    const from = below
    below += one.value
    return { ...one, i, from, to: below }
  })
})
const ends = computed(() => [
  0,
  props.drawing.limit ?? 0,
  ...steps.value.flatMap((one) => [one.from, one.to]),
])
const y = computed(() =>
  scaleLinear()
    .domain([Math.min(...ends.value), Math.max(...ends.value) * 1.08 || 1])
    .range([FOOT, TOP]),
)
const wide = computed(() => (WIDTH - LEFT - 10) / Math.max(1, steps.value.length))
const unit = computed(() => shownUnit(props.drawing.unit))
const said = (value: number) => `${short(value, props.drawing.unit === 'Pa' ? 0 : 2)} ${unit.value}`
const told = computed(() => steps.value.map((one) => `${one.name} ${said(one.value)}`).join(', '))
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="stairs" role="img" :aria-label="told">
    <line :x1="LEFT" :x2="WIDTH - 10" :y1="y(0)" :y2="y(0)" class="zero" />
    <g v-for="one in steps" :key="one.name" :transform="`translate(${LEFT + one.i * wide} 0)`">
      <rect
        x="4"
        :width="wide - 8"
        :y="Math.min(y(one.from), y(one.to))"
        :height="Math.max(1, Math.abs(y(one.from) - y(one.to)))"
        :class="one.is"
      />
      <line v-if="one.i > 0" x1="-4" x2="4" :y1="y(one.from)" :y2="y(one.from)" class="on" />
      <text :x="wide / 2" :y="Math.min(y(one.from), y(one.to)) - 6" text-anchor="middle" class="fig">
        {{ short(one.value, drawing.unit === 'Pa' ? 0 : 2) }}
      </text>
      <text :x="wide / 2" :y="HEIGHT - 14" text-anchor="middle">{{ one.name }}</text>
    </g>
    <template v-if="drawing.limit !== null">
      <line :x1="LEFT" :x2="WIDTH - 10" :y1="y(drawing.limit)" :y2="y(drawing.limit)" class="limit" />
      <text :x="LEFT" :y="y(drawing.limit) - 6" class="word">{{ said(drawing.limit) }}</text>
    </template>
  </svg>
</template>

<style scoped>
.stairs {
  display: block;
  width: 100%;
  max-height: 300px;
}
text {
  font-size: 14px;
  fill: var(--iron-soft);
}
.fig {
  font: 600 18px/1 var(--figures);
  fill: var(--ink);
}
.word {
  fill: var(--stop);
}
.zero,
.on {
  stroke: var(--iron-soft);
}
.plain {
  fill: var(--iron);
}
.stop {
  fill: var(--forge);
}
.limit {
  stroke: var(--stop);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
</style>
