<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

/** Three phases on a clock face, and the order in which they come round. */
const props = defineProps<{ turns: 'forward' | 'reverse' | 'unknown' }>()
const { t } = useI18n()
const R = 74
const at = (degrees: number, r: number) => ({ x: 110 + r * Math.sin((degrees * Math.PI) / 180), y: 104 - r * Math.cos((degrees * Math.PI) / 180) })
const PHASES = [
  { name: 'L1', degrees: 0 },
  { name: 'L2', degrees: 120 },
  { name: 'L3', degrees: 240 },
]
/** From L1 round to the phase that follows, stopping short of its label. */
const arc = computed(() => {
  const end = props.turns === 'forward' ? 96 : -96
  const [a, b] = [at(props.turns === 'forward' ? 14 : -14, R + 13), at(end, R + 13)]
  return `M${a.x} ${a.y} A${R + 13} ${R + 13} 0 0 ${props.turns === 'forward' ? 1 : 0} ${b.x} ${b.y}`
})
const head = computed(() => {
  const end = props.turns === 'forward' ? 96 : -96
  const lead = props.turns === 'forward' ? 12 : -12
  const [tip, inner, outer] = [at(end + lead, R + 13), at(end, R + 3), at(end, R + 23)]
  return `M${tip.x} ${tip.y} L${inner.x} ${inner.y} L${outer.x} ${outer.y}Z`
})
const told = computed(() => {
  if (props.turns === 'unknown') return t('rotation.unread')
  return t('rotation.turns', { order: props.turns === 'forward' ? 'L1, L2, L3' : 'L1, L3, L2' })
})
</script>

<template>
  <figure>
    <svg viewBox="0 0 220 200" role="img" :aria-label="told" :class="turns">
      <circle cx="110" cy="104" :r="R" class="face" />
      <g v-for="phase in PHASES" :key="phase.name">
        <line x1="110" y1="104" :x2="at(phase.degrees, R - 16).x" :y2="at(phase.degrees, R - 16).y" class="hand" />
        <text :x="at(phase.degrees, R + (phase.degrees === 0 ? 3 : 14)).x + (phase.degrees === 0 ? 0 : phase.degrees === 120 ? 6 : -6)" :y="at(phase.degrees, R - (phase.degrees === 0 ? 8 : -18)).y + 5" text-anchor="middle" class="fig" font-size="20">{{ phase.name }}</text>
      </g>
      <template v-if="turns !== 'unknown'">
        <path :d="arc" class="arc" />
        <path :d="head" class="head" />
      </template>
    </svg>
    <figcaption>
      {{ told }}<template v-if="turns === 'reverse'"><br />{{ t('rotation.should') }}</template>
    </figcaption>
  </figure>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 200px;
}
.face {
  fill: none;
  stroke: var(--rule);
  stroke-width: 2;
}
.hand {
  stroke: var(--ink);
  stroke-width: 9;
}
.arc {
  fill: none;
  stroke: var(--clear);
  stroke-width: 8;
}
.head {
  fill: var(--clear);
}
.reverse .arc {
  stroke: var(--stop);
}
.reverse .head {
  fill: var(--stop);
}
.unknown .hand {
  stroke: var(--iron-soft);
}
figcaption {
  font-size: 15px;
  line-height: 1.25;
  text-align: center;
}
</style>
