<script setup lang="ts">
import { computed } from 'vue'
import type { Verdict } from '@/api/client'
import { numberOf, short, valueOf } from './figures'

/** Three legs as bars against the band the plate allows, the average across them. */
const props = defineProps<{ verdict: Verdict | null; input: Record<string, unknown>; ground?: boolean }>()
const PAIRS = [
  { name: 'A-B', key: 'volts_ab' },
  { name: 'B-C', key: 'volts_bc' },
  { name: 'C-A', key: 'volts_ca' },
]
const GROUND = [
  { name: 'A', key: 'volts_ag' },
  { name: 'B', key: 'volts_bg' },
  { name: 'C', key: 'volts_cg' },
]
const TOP = 22
const FOOT = 178
const low = computed(() => valueOf(props.verdict, 'volts_min'))
const high = computed(() => valueOf(props.verdict, 'volts_max'))
const average = computed(() => valueOf(props.verdict, 'average'))
const legs = computed(() => PAIRS.map((pair) => ({ ...pair, volts: numberOf(props.input[pair.key]) })))
/** From a little under the band to a little over it, widened to what was read. */
const scale = computed(() => {
  const read = legs.value.map((leg) => leg.volts).filter((v): v is number => v !== null)
  const bottom = Math.min(...[low.value ?? Infinity, ...read].filter(Number.isFinite)) * 0.965
  const top = Math.max(...[high.value ?? 0, ...read]) * 1.02
  return Number.isFinite(bottom) && top > bottom ? { bottom, top } : { bottom: 0, top: 1 }
})
const y = (volts: number) =>
  FOOT - ((volts - scale.value.bottom) / (scale.value.top - scale.value.bottom)) * (FOOT - TOP)
const outside = (volts: number) =>
  (low.value !== null && volts < low.value) || (high.value !== null && volts > high.value)
const grounds = computed(() =>
  GROUND.map((leg) => ({ ...leg, volts: numberOf(props.input[leg.key]) })).filter(
    (leg) => leg.volts !== null,
  ),
)
</script>

<template>
  <svg
    class="legs"
    :viewBox="`0 0 320 ${ground && grounds.length > 0 ? 236 : 206}`"
    role="img"
    aria-label="legs against the plate's band"
  >
    <template v-if="low !== null && high !== null">
      <rect x="34" :y="y(high)" width="282" :height="y(low) - y(high)" class="band" />
      <text x="30" :y="y(high) + 5" text-anchor="end" class="tick">{{ short(high, 0) }}</text>
      <text x="30" :y="y(low) + 5" text-anchor="end" class="tick">{{ short(low, 0) }}</text>
    </template>
    <g v-for="(leg, i) in legs" :key="leg.key" :transform="`translate(${62 + i * 88} 0)`">
      <template v-if="leg.volts !== null">
        <rect
          x="0"
          :y="y(leg.volts)"
          width="52"
          :height="FOOT - y(leg.volts)"
          :class="outside(leg.volts) ? 'bar out' : 'bar'"
        />
        <text x="26" :y="y(leg.volts) - 6" text-anchor="middle" class="fig" font-size="21">
          {{ short(leg.volts) }}
        </text>
      </template>
      <rect v-else x="0" :y="FOOT - 60" width="52" height="60" class="empty" />
      <text x="26" y="198" text-anchor="middle" font-size="15">{{ leg.name }}</text>
    </g>
    <line
      v-if="average !== null && average > 0"
      x1="34"
      x2="316"
      :y1="y(average)"
      :y2="y(average)"
      class="average"
    />
    <line x1="34" x2="316" :y1="FOOT" :y2="FOOT" class="floor" />
    <g v-if="ground">
      <text
        v-for="(leg, i) in grounds"
        :key="leg.key"
        :x="88 + i * 88"
        y="226"
        text-anchor="middle"
        class="fig"
        font-size="17"
      >
        {{ leg.name }} {{ short(leg.volts ?? 0) }}
      </text>
      <text v-if="grounds.length > 0" x="6" y="226" font-size="13.5">ground</text>
    </g>
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
