<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { shownUnit } from '@/lib/reading'
import { isSingle, onLine, type Rows } from './pressures'

/** Pressure over temperature: the dew line, the bubble line where it is another, and what was looked up on them. */
const props = defineProps<{
  rows: Rows
  temperature: string
  pressure: string
  at: { temperature?: number; pressure?: number }
}>()
const { t } = useI18n()
const WIDTH = 520
const HEIGHT = 300
const LEFT = 52
const FOOT = 34
const ends = (all: number[]): [number, number] => [Math.min(...all), Math.max(...all)]
const x = computed(() =>
  scaleLinear()
    .domain(ends(props.rows.map((row) => row[0] ?? 0)))
    .range([LEFT, WIDTH - 14]),
)
const y = computed(() =>
  scaleLinear()
    .domain(ends(props.rows.flatMap((row) => [row[1] ?? 0, row[2] ?? 0])))
    .range([HEIGHT - FOOT, 14])
    .nice(),
)
const single = computed(() => isSingle(props.rows))
const lines = computed(() =>
  (single.value ? ([2] as const) : ([1, 2] as const)).map((line) => ({
    name: line === 1 ? 'bubble' : single.value ? 'both' : 'dew',
    d: `M${props.rows.map((row) => `${x.value(row[0] ?? 0)} ${y.value(row[line] ?? 0)}`).join(' L')}`,
    mark: onLine(props.rows, line, props.at),
  })),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="t('refrigerants.chart')">
    <g v-for="tick in y.ticks(5)" :key="`y${tick}`">
      <line :x1="LEFT" :x2="WIDTH - 14" :y1="y(tick)" :y2="y(tick)" class="grid" />
      <text :x="LEFT - 7" :y="y(tick) + 5" text-anchor="end">{{ tick }}</text>
    </g>
    <text v-for="tick in x.ticks(6)" :key="tick" :x="x(tick)" :y="HEIGHT - 12" text-anchor="middle">
      {{ tick }}
    </text>
    <text :x="WIDTH - 14" :y="HEIGHT - 26" text-anchor="end">{{ shownUnit(temperature) }}</text>
    <text :x="LEFT + 6" y="24">{{ shownUnit(pressure) }}</text>
    <path v-for="one in lines" :key="one.name" :d="one.d" class="line" :class="one.name" />
    <template v-for="one in lines" :key="`m${one.name}`">
      <g v-if="one.mark" class="mark">
        <path :d="`M${LEFT} ${y(one.mark[1])} H${x(one.mark[0])} V${HEIGHT - FOOT}`" />
        <circle :cx="x(one.mark[0])" :cy="y(one.mark[1])" r="6" />
      </g>
    </template>
    <g v-if="!single" class="key">
      <path d="M66 40 H96" class="line bubble" />
      <text x="104" y="45">{{ t('refrigerants.bubble') }}</text>
      <path d="M66 60 H96" class="line dew" />
      <text x="104" y="65">{{ t('refrigerants.dew') }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
text {
  font-size: 13px;
  fill: var(--iron-soft);
}
.grid {
  stroke: var(--rule);
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.line.bubble {
  stroke: var(--iron-soft);
  stroke-dasharray: 8 5;
}
.mark path {
  fill: none;
  stroke: var(--forge);
  stroke-width: 2;
}
.mark circle {
  fill: var(--forge);
  stroke: var(--paper);
  stroke-width: 2;
}
</style>
