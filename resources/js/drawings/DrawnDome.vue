<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3-scale'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'
import { shownUnit } from '@/lib/reading'
import { short } from './figures'

/** The dome of a refrigerant with the cycle on it: superheat and subcooling are what stands out on either side. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'dome' }> }>()
const { t } = useI18n()
const WIDTH = 360
const HEIGHT = 270
const EDGE = 14
/** How much lower than the low side the axis begins. */
const UNDER = 2.5
const shown = computed(() => {
  const within = (p: [number, number]) => p[1] >= props.drawing.low / UNDER
  return { bubble: props.drawing.bubble.filter(within), dew: props.drawing.dew.filter(within) }
})
const x = computed(() => {
  const all = [...shown.value.bubble, ...shown.value.dew].map((p) => p[0])
  const ends = [...all, props.drawing.suction.to, props.drawing.liquid.to]
  return scaleLinear()
    .domain([Math.min(...ends), Math.max(...ends)])
    .range([EDGE, WIDTH - 40])
})
const y = computed(() => {
  const all = [...shown.value.bubble, ...shown.value.dew].map((p) => p[1])
  return scaleLog()
    .domain([props.drawing.low / UNDER, Math.max(props.drawing.high * 1.1, ...all)])
    .range([HEIGHT - EDGE, EDGE])
})
const middle = computed(() => (x.value(props.drawing.liquid.to) + x.value(props.drawing.suction.to)) / 2)
const draw = (points: [number, number][]) =>
  points.length === 0 ? '' : `M${points.map((p) => `${x.value(p[0])} ${y.value(p[1])}`).join(' L')}`
const dome = computed(
  () => `${draw(shown.value.bubble)} ${draw([...shown.value.dew].reverse()).replace('M', 'L')}`,
)
const cycle = computed(() => {
  const { low, high, suction, liquid } = props.drawing
  return `M${x.value(liquid.to)} ${y.value(low)} L${x.value(suction.to)} ${y.value(low)} L${x.value(suction.to) + 18} ${y.value(high)} L${x.value(liquid.to)} ${y.value(high)}Z`
})
type Named = 'superheat' | 'subcooling' | 'low' | 'high'
/** A temperature with what it may be off by, a pressure as a gauge shows it. */
const figure = (name: Named) => {
  const one = props.drawing.figures?.[name]
  if (one === undefined) return ''
  if (name === 'low' || name === 'high') return `${short(one.value, 0)} ${shownUnit(one.unit)}`
  const off = props.drawing.figures?.[`${name}_off`]
  return `${short(one.value)}${off === undefined ? '' : ` ± ${short(off.value)}`} ${shownUnit(one.unit)}`
}
const told = computed(() =>
  [
    t('dome.told', { refrigerant: props.drawing.refrigerant }),
    ...(['superheat', 'subcooling', 'low', 'high'] as const).map(
      (name) => `${t(`dome.${name}`)} ${figure(name)}`,
    ),
  ].join(', '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="dome" role="img" :aria-label="told">
    <path :d="dome" class="edge" />
    <path :d="cycle" class="cycle" />
    <line
      :x1="x(drawing.suction.from)"
      :x2="x(drawing.suction.to)"
      :y1="y(drawing.low)"
      :y2="y(drawing.low)"
      class="superheat"
    />
    <line
      :x1="x(drawing.liquid.to)"
      :x2="x(drawing.liquid.from)"
      :y1="y(drawing.high)"
      :y2="y(drawing.high)"
      class="subcooling"
    />
    <text :x="WIDTH - 6" :y="y(drawing.low) + 20" text-anchor="end">
      {{ t('dome.superheat') }}
      <tspan class="fig" :x="WIDTH - 6" dy="22">{{ figure('superheat') }}</tspan>
    </text>
    <text :x="EDGE" :y="Math.max(36, y(drawing.high) - 30)">
      {{ t('dome.subcooling') }}
      <tspan class="fig" :x="EDGE" dy="22">{{ figure('subcooling') }}</tspan>
    </text>
    <text :x="middle" :y="y(drawing.low) - 8" text-anchor="middle" class="side">
      {{ t('dome.low') }} {{ figure('low') }}
    </text>
    <text :x="middle" :y="y(drawing.high) + 20" text-anchor="middle" class="side">
      {{ t('dome.high') }} {{ figure('high') }}
    </text>
    <text :x="EDGE" :y="16" class="side">{{ drawing.refrigerant }}</text>
  </svg>
</template>

<style scoped>
.dome {
  display: block;
  width: 100%;
}
.edge {
  fill: var(--pan);
  stroke: var(--iron-soft);
  stroke-width: 2;
}
.cycle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.superheat,
.subcooling {
  stroke: var(--forge);
  stroke-width: 8;
}
text {
  font-size: 14px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.fig {
  font: 600 22px/1 var(--figures);
}
.side {
  fill: var(--iron-soft);
}
</style>
