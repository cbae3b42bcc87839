<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'

/** A column that fills: its parts one above the other, how far it stands, and what is left in figures for the far side. */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'column' }> }>()
const { t } = useI18n()
const WIDTH = 360
const HEIGHT = 270
const FOOT = 262
const TOP = 14
const COLUMN = 92
const total = computed(() => props.drawing.parts.reduce((sum, part) => sum + part.value, 0))
const most = computed(() => Math.max(1e-9, total.value, props.drawing.filled) * 1.04)
const y = (value: number) => FOOT - (Math.max(0, value) / most.value) * (FOOT - TOP)
const parts = computed(() => {
  let below = 0
  return props.drawing.parts.map((part) => {
    const [from, to] = [below, below + part.value]
    below = to
    return { ...part, top: y(Math.max(from, to)), middle: (y(from) + y(to)) / 2, line: y(to) }
  })
})
/** Names stand apart though their parts are thin. */
const names = computed(() => {
  let last = HEIGHT + 40
  return parts.value.map((part) => {
    last = Math.min(part.middle, last - 40)
    return { ...part, at: Math.max(TOP + 12, last) }
  })
})
const told = computed(() =>
  [
    ...props.drawing.parts.map((part) => `${part.name} ${part.text}`),
    ...(props.drawing.large === undefined ? [] : [`${props.drawing.large.text} ${props.drawing.large.name}`]),
  ].join(', '),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="column"
    role="img"
    :aria-label="`${t('column.told')}: ${told}`"
  >
    <rect x="6" :y="y(total)" :width="COLUMN" :height="FOOT - y(total)" class="glass" />
    <rect
      x="6"
      :y="y(drawing.filled)"
      :width="COLUMN"
      :height="FOOT - y(drawing.filled)"
      :class="drawing.is"
    />
    <g v-for="part in parts" :key="part.name">
      <line x1="6" :x2="COLUMN + 16" :y1="part.line" :y2="part.line" class="mark" />
    </g>
    <text v-for="part in names" :key="`n${part.name}`" :x="COLUMN + 22" :y="part.at">
      {{ part.name }}
      <tspan :x="COLUMN + 22" dy="19" class="fig">{{ part.text }}</tspan>
    </text>
    <text v-if="drawing.large" :x="WIDTH - 4" y="140" text-anchor="end" class="large" :class="drawing.is">
      {{ drawing.large.text }}
      <tspan :x="WIDTH - 4" dy="26" class="word">{{ drawing.large.name }}</tspan>
    </text>
  </svg>
</template>

<style scoped>
.column {
  display: block;
  width: 100%;
}
.glass {
  fill: var(--pan);
  stroke: var(--iron-soft);
  stroke-width: 2;
}
rect.plain {
  fill: var(--iron);
}
rect.stop {
  fill: var(--stop);
}
.mark {
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font-size: 14px;
  fill: var(--iron-soft);
}
.fig {
  font: 600 18px/1 var(--figures);
  fill: var(--ink);
}
.large {
  font: 600 44px/1 var(--figures);
  fill: var(--ink);
}
.large.stop {
  fill: var(--stop);
}
.word {
  font: 400 18px/1 var(--text);
}
</style>
