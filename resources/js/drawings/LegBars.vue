<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'
import { axisOf, short } from './figures'

/** Three legs as bars against the band that is allowed, the average across them; each line to ground below. */
type Legs = Extract<Drawing, { shape: 'legs' }>
const props = defineProps<{ drawing: Legs; ground?: Legs['ground'] }>()
const { t } = useI18n()
const TOP = 24
const FOOT = 178
const BREAK = 12
const read = computed(() => props.drawing.legs.map((leg) => leg.value).filter((v): v is number => v !== null))
const axis = computed(() => axisOf(props.drawing.low, props.drawing.high, read.value))
const y = computed(() =>
  scaleLinear().domain([axis.value.bottom, axis.value.top]).range([FOOT, TOP]).clamp(true),
)
const grounds = computed(() => (props.ground ?? props.drawing.ground).filter((leg) => leg.value !== null))
/** Below the axis a stump is left, so that a leg far too low is still a bar; its break says it is not to scale. */
const barTop = (volts: number) => Math.min(y.value(volts), FOOT - BREAK)
const isBroken = (volts: number) => volts < axis.value.bottom || volts > axis.value.top
const told = computed(() =>
  [
    t('drawing.legs'),
    ...props.drawing.legs.flatMap((l) => (l.value === null ? [] : [`${l.name} ${short(l.value)}`])),
  ].join(' '),
)
</script>

<template>
  <svg class="legs" :viewBox="`0 0 320 ${grounds.length > 0 ? 230 : 204}`" role="img" :aria-label="told">
    <template v-if="drawing.low !== null && drawing.high !== null">
      <rect x="36" :y="y(drawing.high)" width="280" :height="y(drawing.low) - y(drawing.high)" class="band" />
      <text x="32" :y="y(drawing.high) + 5" text-anchor="end" class="tick">{{ short(drawing.high, 0) }}</text>
      <text x="32" :y="y(drawing.low) + 5" text-anchor="end" class="tick">{{ short(drawing.low, 0) }}</text>
    </template>
    <g v-for="(leg, i) in drawing.legs" :key="leg.name" :transform="`translate(${62 + i * 88} 0)`">
      <template v-if="leg.value !== null">
        <rect
          x="0"
          :y="barTop(leg.value)"
          width="52"
          :height="FOOT - barTop(leg.value)"
          :class="leg.is === 'stop' ? 'bar out' : 'bar'"
        />
        <path
          v-if="isBroken(leg.value)"
          :d="`M-4 ${(barTop(leg.value) + FOOT) / 2 + 3} l15 -7 15 7 15 -7 15 7`"
          class="break"
        />
        <text x="26" :y="barTop(leg.value) - 6" text-anchor="middle" class="fig" font-size="21">
          {{ short(leg.value) }}
        </text>
      </template>
      <rect v-else x="0" :y="FOOT - 60" width="52" height="60" class="empty" />
      <text x="26" y="197" text-anchor="middle" font-size="15">{{ leg.name }}</text>
    </g>
    <line
      v-if="drawing.average !== null && drawing.average > axis.bottom"
      x1="36"
      x2="316"
      :y1="y(drawing.average)"
      :y2="y(drawing.average)"
      class="average"
    />
    <line x1="36" x2="316" :y1="FOOT" :y2="FOOT" class="floor" />
    <template v-if="grounds.length > 0">
      <text x="4" y="224" font-size="13.5">{{ t('drawing.ground') }}</text>
      <text
        v-for="(leg, i) in grounds"
        :key="leg.name"
        :x="96 + i * 86"
        y="224"
        text-anchor="middle"
        class="fig"
        font-size="17"
      >
        {{ leg.name }} {{ short(leg.value ?? 0) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.legs {
  display: block;
  width: 100%;
  max-height: 290px;
}
.band {
  fill: var(--pan);
}
.bar {
  fill: var(--iron);
}
.out {
  fill: var(--stop);
}
.break {
  fill: none;
  stroke: var(--paper);
  stroke-width: 5;
}
.empty {
  fill: none;
  stroke: var(--rule);
  stroke-dasharray: 5 4;
}
.average {
  stroke: var(--paper);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
.floor {
  stroke: var(--ink);
  stroke-width: 2;
}
.tick {
  font-size: 13.5px;
  fill: var(--iron-soft);
}
</style>
