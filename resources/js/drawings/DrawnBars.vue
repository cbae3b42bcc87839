<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { shownUnit } from '@/lib/reading'
import { short } from './figures'

/** Bars on one scale from nothing, with a line where there is a limit. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'bars' }> }>()
const STEP = 46
const WIDTH = 320
const FIGURE = 64
const most = computed(() =>
  Math.max(1e-9, props.drawing.limit ?? 0, ...props.drawing.bars.map((bar) => bar.value ?? 0)),
)
const x = computed(() =>
  scaleLinear()
    .domain([0, most.value])
    .range([0, WIDTH - FIGURE]),
)
const height = computed(() => props.drawing.bars.length * STEP)
const unit = computed(() => (props.drawing.unit === '%' ? '%' : ` ${shownUnit(props.drawing.unit)}`))
const told = computed(
  () =>
    props.drawing.bars
      .flatMap((b) => (b.value === null ? [] : [`${b.name} ${short(b.value)}${unit.value}`]))
      .join(', ') || props.drawing.bars.map((bar) => bar.name).join(', '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" class="bars" role="img" :aria-label="told">
    <g v-for="(bar, i) in drawing.bars" :key="bar.name" :transform="`translate(0 ${i * STEP})`">
      <text x="0" y="14" font-size="15">{{ bar.name }}</text>
      <rect x="0" y="19" :width="x(bar.value ?? 0)" height="19" :class="bar.is" />
      <text
        v-if="bar.value !== null"
        :x="drawing.limit === null ? x(bar.value) + 6 : WIDTH"
        :text-anchor="drawing.limit === null ? 'start' : 'end'"
        y="35"
        class="fig"
        font-size="20"
      >
        {{ short(bar.value, bar.value < 100 && drawing.unit !== '%' ? 1 : 0) }}{{ unit }}
      </text>
      <rect v-else x="0" y="19" width="60" height="19" class="empty" />
    </g>
    <line
      v-if="drawing.limit !== null"
      :x1="x(drawing.limit)"
      :x2="x(drawing.limit)"
      y1="0"
      :y2="height"
      class="limit"
    />
  </svg>
</template>

<style scoped>
.bars {
  display: block;
  width: 100%;
  max-height: 300px;
}
.plain {
  fill: var(--iron);
}
.pale {
  fill: var(--iron-soft);
  opacity: 0.45;
}
.stop {
  fill: var(--stop);
}
.empty {
  fill: none;
  stroke: var(--rule);
  stroke-dasharray: 5 4;
}
.limit {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 4 4;
}
</style>
