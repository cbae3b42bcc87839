<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '@/api/client'

/** Circuits with their conductors from terminal to terminal: straight where both ends agree, across where they don't. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'wires' }> }>()
const STEP = 30
const HEAD = 26
const GAP = 16
const LEFT = 92
const RIGHT = 268

const circuits = computed(() => {
  let top = 0
  return props.drawing.circuits.map((circuit) => {
    const rows = (end: 'near' | 'far') => [...new Set(circuit.wires.map((one) => one[end]).filter(Boolean))]
    const [near, far] = [rows('near').sort(), rows('far').sort()]
    const at = top + HEAD
    const y = (names: string[], name: string) => at + names.indexOf(name) * STEP + STEP / 2
    const height = HEAD + Math.max(near.length, far.length, 1) * STEP + GAP
    top += height
    return {
      name: circuit.name,
      top: at,
      height,
      near: near.map((name) => ({ name, y: y(near, name) })),
      far: far.map((name) => ({ name, y: y(far, name) })),
      wires: circuit.wires.map((one) => ({
        ...one,
        from: one.near === '' ? null : y(near, one.near),
        to: one.far === '' ? null : y(far, one.far),
      })),
    }
  })
})
const height = computed(() => circuits.value.reduce((sum, one) => sum + one.height, 0))
const told = computed(() =>
  props.drawing.circuits
    .map(
      (one) =>
        `${one.name}: ${one.wires.map((wire) => `${wire.colour} ${wire.near || '–'} to ${wire.far || '–'}`).join(', ')}`,
    )
    .join('; '),
)
const MIDDLE = (LEFT + RIGHT) / 2
</script>

<template>
  <svg :viewBox="`0 0 360 ${height}`" class="wires" role="img" :aria-label="told">
    <g v-for="circuit in circuits" :key="circuit.name">
      <text x="4" :y="circuit.top - 8" class="name">{{ circuit.name }}</text>
      <g v-for="(one, i) in circuit.wires" :key="i" :class="one.is">
        <path v-if="one.from !== null && one.to !== null" :d="`M${LEFT} ${one.from} L${RIGHT} ${one.to}`" />
        <path v-else-if="one.from !== null" :d="`M${LEFT} ${one.from} H${MIDDLE - 34}`" class="lost" />
        <path v-else :d="`M${MIDDLE + 34} ${one.to} H${RIGHT}`" class="lost" />
        <text
          :x="LEFT + (one.from === null ? RIGHT - LEFT - 6 : 6)"
          :y="(one.from ?? one.to ?? 0) - 5"
          :text-anchor="one.from === null ? 'end' : 'start'"
          class="colour"
        >
          {{ one.colour }}
        </text>
      </g>
      <g v-for="end in circuit.near" :key="`n${end.name}`">
        <rect x="36" :y="end.y - 12" width="50" height="24" />
        <text x="61" :y="end.y + 5" text-anchor="middle" class="terminal">{{ end.name }}</text>
      </g>
      <g v-for="end in circuit.far" :key="`f${end.name}`">
        <rect x="274" :y="end.y - 12" width="50" height="24" />
        <text x="299" :y="end.y + 5" text-anchor="middle" class="terminal">{{ end.name }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.wires {
  display: block;
  width: 100%;
}
text {
  fill: var(--ink);
}
.name {
  font: 600 17px/1 var(--figures);
}
.colour {
  font-size: 12px;
  fill: var(--iron-soft);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.terminal {
  font: 600 16px/1 var(--figures);
}
rect {
  fill: var(--paper);
  stroke: var(--ink);
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.watch path {
  stroke: var(--watch);
  stroke-dasharray: 7 4;
}
.stop path {
  stroke: var(--stop);
  stroke-width: 4;
}
</style>
