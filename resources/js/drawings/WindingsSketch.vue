<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { short } from './figures'
import type { SketchProps } from './sketch'

/** The windings between their terminals; a single-phase compressor's are common, run and start. */
const props = defineProps<SketchProps>()
const { t } = useI18n()
const CORNERS = [
  [150, 26],
  [262, 190],
  [38, 190],
] as const
const SIDES = [
  { pair: 'ohms_ab', from: 0, to: 1, x: 240, y: 98 },
  { pair: 'ohms_bc', from: 1, to: 2, x: 150, y: 216 },
  { pair: 'ohms_ca', from: 2, to: 0, x: 60, y: 98 },
] as const
const names = computed(() => (props.input.phases === 1 ? ['C', 'R', 'S'] : ['T1', 'T2', 'T3']))
const isOpen = (value: unknown) => typeof value === 'object' && value !== null && 'open_circuit' in value

function side(value: unknown): string {
  if (isOpen(value)) return t('orFlag.open_circuit')
  const ohms = Number(
    typeof value === 'object' && value !== null
      ? (value as { value?: unknown }).value
      : String(value ?? '').split(' ')[0] || NaN,
  )
  return Number.isFinite(ohms) ? short(ohms, 3) : ''
}
</script>

<template>
  <svg
    viewBox="0 0 300 232"
    class="triangle"
    role="img"
    :aria-label="SIDES.map((s) => side(input[s.pair])).join(', ')"
  >
    <g v-for="one in SIDES" :key="one.pair">
      <line
        :x1="CORNERS[one.from][0]"
        :y1="CORNERS[one.from][1]"
        :x2="CORNERS[one.to][0]"
        :y2="CORNERS[one.to][1]"
        :class="['coil', { cut: isOpen(input[one.pair]) }]"
      />
      <text :x="one.x" :y="one.y" text-anchor="middle" class="fig" font-size="24">
        {{ side(input[one.pair]) }}
      </text>
    </g>
    <g v-for="(at, i) in CORNERS" :key="i">
      <circle :cx="at[0]" :cy="at[1]" r="15" class="terminal" />
      <text :x="at[0]" :y="at[1] + 6" text-anchor="middle" class="fig letter" font-size="17">
        {{ names[i] }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.triangle {
  display: block;
  width: 100%;
  max-height: 250px;
}
.coil {
  stroke: var(--iron);
  stroke-width: 6;
}
.cut {
  stroke: var(--stop);
  stroke-dasharray: 4 12;
}
.terminal {
  fill: var(--ink);
}
svg .letter {
  fill: var(--paper);
}
</style>
