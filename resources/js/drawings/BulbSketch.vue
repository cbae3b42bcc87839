<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SketchProps } from './sketch'

/** The suction line seen along its run, oil at the bottom, and the bulb at its hour. */
const props = defineProps<SketchProps>()
const { t } = useI18n()
const HOURS = 12
const MIDDLE = 150
const PIPE = 82
const BULB = 24
const clock = computed(() => (typeof props.input.clock === 'number' ? props.input.clock : null))
const isUpright = computed(() => props.input.orientation === 'vertical')
const round = (hour: number, r: number) => {
  const angle = (hour / HOURS) * 2 * Math.PI
  return { x: MIDDLE + r * Math.sin(angle), y: MIDDLE - r * Math.cos(angle) }
}
const bulb = computed(() => (clock.value === null ? null : round(clock.value, PIPE + BULB + 3)))
const hours = Array.from({ length: HOURS }, (_, i) => ({ hour: i + 1, ...round(i + 1, 138) }))
const isWrong = computed(() => props.verdict?.status === 'stop')
</script>

<template>
  <svg viewBox="0 0 300 300" class="bulb" role="img" :aria-label="t('bulb.sketch', { hour: clock ?? '–' })">
    <template v-if="isUpright">
      <rect x="110" y="10" width="80" height="280" class="pipe" />
      <rect x="200" y="100" width="34" height="100" rx="16" class="sensor" :class="{ wrong: isWrong }" />
      <path :d="input.tail_up === false ? 'M217 200 v60' : 'M217 100 v-60'" class="tail" />
    </template>
    <template v-else>
      <circle :cx="MIDDLE" :cy="MIDDLE" :r="PIPE" class="pipe" />
      <path :d="`M${MIDDLE - 62} ${MIDDLE + 54} A82 82 0 0 0 ${MIDDLE + 62} ${MIDDLE + 54} Z`" class="oil" />
      <text :x="MIDDLE" :y="MIDDLE + 72" text-anchor="middle" class="word">{{ t('bulb.oil') }}</text>
      <text v-for="one in hours" :key="one.hour" :x="one.x" :y="one.y + 6" text-anchor="middle" class="hour">
        {{ one.hour }}
      </text>
      <circle v-if="bulb" :cx="bulb.x" :cy="bulb.y" :r="BULB" class="sensor" :class="{ wrong: isWrong }" />
    </template>
  </svg>
</template>

<style scoped>
.bulb {
  display: block;
  width: 100%;
  max-height: 320px;
}
.pipe {
  fill: none;
  stroke: var(--ink);
  stroke-width: 8;
}
.oil {
  fill: var(--iron-soft);
  opacity: 0.4;
}
.sensor {
  fill: var(--iron);
}
.sensor.wrong {
  fill: var(--stop);
}
.tail {
  fill: none;
  stroke: var(--iron);
  stroke-width: 5;
}
.hour {
  font: 500 17px/1 var(--figures);
  fill: var(--iron-soft);
}
.word {
  font-size: 14px;
  fill: var(--iron-soft);
}
</style>
