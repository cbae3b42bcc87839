<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'

/** Causes, the likeliest first: how sure, and what of the readings speaks for each and against it. */
type Ranking = Extract<Drawing, { shape: 'ranking' }>
const props = defineProps<{ drawing: Ranking }>()
const { t } = useI18n()
const WIDTH = 344
const NAMES = 156
const HEAD = 42
const STEP = 44
const BAR = 108
/** Half of a mark that speaks as clearly as it can. */
const MARK = 9
const columns = computed(() => {
  const between = (WIDTH - NAMES) / Math.max(1, props.drawing.features.length)
  return props.drawing.features.map((f, i) => ({ ...f, x: NAMES + between * (i + 0.5), is: isAt(f.value) }))
})
const height = computed(() => HEAD + STEP * props.drawing.causes.length + 22)
/** Within its tolerance a reading is as it should be. */
const isAt = (off: number) => (Math.abs(off) < 1 ? 'ok' : off < 0 ? 'low' : 'high')
const percent = (score: number) => `${Math.round(100 * score)}%`
const features = (cause: Ranking['causes'][number], way: 1 | -1) =>
  columns.value.flatMap((f, i) => ((cause.speaks[i] ?? 0) * way > 0 ? [f.name] : [])).join(', ') || '–'
const told = computed(() =>
  props.drawing.causes
    .map(
      (c) =>
        `${c.name} ${percent(c.value)}, ${t('ranking.for')}: ${features(c, 1)}, ${t('ranking.against')}: ${features(c, -1)}`,
    )
    .join('; '),
)
const cross = (size: number) => `M${-size} ${-size} L${size} ${size} M${-size} ${size} L${size} ${-size}`
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" class="ranking" role="img" :aria-label="told">
    <g v-for="f in columns" :key="f.name" :transform="`translate(${f.x} 0)`" text-anchor="middle">
      <text y="13" font-size="13">{{ f.name }}</text>
      <text y="30" font-size="13" :class="['read', f.is]">{{ t(`ranking.${f.is}`) }}</text>
    </g>
    <g
      v-for="(cause, i) in drawing.causes"
      :key="cause.name"
      class="cause"
      :transform="`translate(0 ${HEAD + i * STEP})`"
    >
      <line x1="0" :x2="WIDTH" y1="0" y2="0" class="rule" />
      <text x="0" y="17" font-size="14" :class="{ likely: cause.value >= drawing.limit }">
        {{ cause.name }}
      </text>
      <rect
        x="0"
        y="24"
        :width="BAR * cause.value"
        height="12"
        :class="cause.value >= drawing.limit ? 'plain' : 'pale'"
      />
      <text :x="NAMES - 10" y="36" class="fig" font-size="16" text-anchor="end">
        {{ percent(cause.value) }}
      </text>
      <g v-for="(f, j) in columns" :key="f.name" :transform="`translate(${f.x} 22)`">
        <circle v-if="(cause.speaks[j] ?? 0) > 0" :r="MARK * cause.speaks[j]!" class="for" />
        <path
          v-else-if="(cause.speaks[j] ?? 0) < 0"
          :d="cross(-MARK * 0.8 * cause.speaks[j]!)"
          class="against"
        />
      </g>
    </g>
    <g :transform="`translate(0 ${height - 6})`" font-size="12" class="key">
      <circle cx="6" cy="-4" r="5" class="for" />
      <text x="16">{{ t('ranking.for') }}</text>
      <path :d="cross(4)" transform="translate(56 -4)" class="against" />
      <text x="66">{{ t('ranking.against') }}</text>
    </g>
  </svg>
</template>

<style scoped>
.ranking {
  display: block;
  width: 100%;
  max-height: 340px;
}
.rule {
  stroke: var(--rule);
}
.likely {
  font-weight: 700;
}
.read {
  fill: var(--iron-soft);
}
.low,
.high {
  fill: var(--ink);
  font-weight: 700;
}
.plain,
.for {
  fill: var(--iron);
}
.pale {
  fill: var(--iron-soft);
  opacity: 0.45;
}
.against {
  fill: none;
  stroke: var(--stop);
  stroke-width: 3;
}
</style>
