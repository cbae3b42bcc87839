<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

/** Three phases on a clock face, and the order in which they come round. */
const props = defineProps<{ turns: 'forward' | 'reverse' | 'unknown' }>()
const { t } = useI18n()
const FACE = 70
const ARC = 84
const LABEL = 106
const at = (degrees: number, r: number) => ({
  x: 130 + r * Math.sin((degrees * Math.PI) / 180),
  y: 122 - r * Math.cos((degrees * Math.PI) / 180),
})
const PHASES = [
  { name: 'L1', degrees: 0 },
  { name: 'L2', degrees: 120 },
  { name: 'L3', degrees: 240 },
]
const way = computed(() => (props.turns === 'reverse' ? -1 : 1))
/** From L1 round to the phase that follows it. */
const arc = computed(() => {
  const [a, b] = [at(8 * way.value, ARC), at(98 * way.value, ARC)]
  return `M${a.x} ${a.y} A${ARC} ${ARC} 0 0 ${way.value === 1 ? 1 : 0} ${b.x} ${b.y}`
})
const head = computed(() => {
  const [tip, inner, outer] = [
    at(113 * way.value, ARC),
    at(98 * way.value, ARC - 11),
    at(98 * way.value, ARC + 11),
  ]
  return `M${tip.x} ${tip.y} L${inner.x} ${inner.y} L${outer.x} ${outer.y}Z`
})
const told = computed(() => {
  if (props.turns === 'unknown') return t('rotation.unread')
  return t('rotation.turns', { order: props.turns === 'forward' ? 'L1, L2, L3' : 'L1, L3, L2' })
})
</script>

<template>
  <figure>
    <svg viewBox="0 0 260 200" role="img" :aria-label="told" :class="turns">
      <circle cx="130" cy="122" :r="FACE" class="face" />
      <g v-for="phase in PHASES" :key="phase.name">
        <line
          x1="130"
          y1="122"
          :x2="at(phase.degrees, FACE - 8).x"
          :y2="at(phase.degrees, FACE - 8).y"
          class="hand"
        />
        <text
          :x="at(phase.degrees, LABEL).x"
          :y="at(phase.degrees, LABEL).y + 7"
          text-anchor="middle"
          class="fig"
          font-size="22"
        >
          {{ phase.name }}
        </text>
      </g>
      <template v-if="turns !== 'unknown'">
        <path :d="arc" class="arc" />
        <path :d="head" class="head" />
      </template>
    </svg>
    <figcaption>
      {{ told }}<template v-if="turns === 'reverse'">; {{ t('rotation.should') }}</template>
    </figcaption>
  </figure>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 150px;
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
  font-size: 14.5px;
  line-height: 1.25;
  text-align: center;
}
</style>
