<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

/** The unit's one-line: disconnect, terminals, loads, and the place to swap. */
const props = defineProps<{
  loads: string[]
  swapSupply: boolean
  swapLoads: string[]
  backwards: string[]
}>()
const { t } = useI18n()
const WIDTH = 316
const MIDDLE = 118
const shown = computed(() => props.loads.slice(0, 4))
const step = computed(() => WIDTH / Math.max(1, shown.value.length))
const mark = (name: string) => props.swapLoads.includes(name)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} 166`"
    role="img"
    :aria-label="swapSupply ? t('rotation.swapHere') : t('rotation.terminals')"
  >
    <line :x1="MIDDLE" y1="0" :x2="MIDDLE" y2="8" class="wire" />
    <rect :x="MIDDLE - 54" y="8" width="108" height="26" class="box" />
    <text :x="MIDDLE" y="26" text-anchor="middle" font-size="15">{{ t('rotation.disconnect') }}</text>
    <line :x1="MIDDLE" y1="34" :x2="MIDDLE" y2="64" class="wire" />
    <rect :x="MIDDLE - 54" y="64" width="108" height="26" class="box" />
    <text :x="MIDDLE" y="82" text-anchor="middle" font-size="15">{{ t('rotation.terminals') }}</text>
    <template v-if="swapSupply">
      <path :d="`M${MIDDLE - 7} 38 l14 23 M${MIDDLE + 7} 38 l-14 23`" class="swap" />
      <rect :x="MIDDLE - 62" y="38" width="124" height="58" class="here" />
      <text :x="MIDDLE + 70" y="62" class="hot" font-size="15">{{ t('rotation.swapHere') }}</text>
      <text v-if="swapLoads.length === 0" :x="MIDDLE + 70" y="82" font-size="13.5">
        {{ t('rotation.notHere') }}
      </text>
    </template>
    <line :x1="MIDDLE" y1="90" :x2="MIDDLE" y2="106" class="wire" />
    <line
      :x1="Math.min(step / 2, MIDDLE)"
      y1="106"
      :x2="Math.max(WIDTH - step / 2, MIDDLE)"
      y2="106"
      class="wire"
    />
    <g v-for="(load, i) in shown" :key="load">
      <line :x1="step * (i + 0.5)" y1="106" :x2="step * (i + 0.5)" y2="116" class="wire" />
      <rect
        :x="step * i + 4"
        y="116"
        :width="step - 8"
        height="28"
        :class="['box', { back: backwards.includes(load), swapload: mark(load) }]"
      />
      <text
        :x="step * (i + 0.5)"
        y="135"
        text-anchor="middle"
        font-size="15"
        :class="{ rev: backwards.includes(load) }"
      >
        {{ load }}
      </text>
      <text v-if="mark(load)" :x="step * (i + 0.5)" y="161" text-anchor="middle" font-size="14" class="hot">
        {{ swapSupply ? t('rotation.putBackToo') : t('rotation.swapThis') }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 400px;
  margin: 0 auto;
}
.wire {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.box {
  fill: var(--box);
  stroke: var(--ink);
  stroke-width: 2;
}
.back {
  stroke: var(--stop);
  stroke-width: 3;
}
.rev {
  fill: var(--stop);
  font-weight: 600;
}
.swapload {
  stroke: var(--forge);
  stroke-width: 4;
}
.here {
  fill: none;
  stroke: var(--forge);
  stroke-width: 4;
}
.swap {
  stroke: var(--forge);
  stroke-width: 4;
}
.hot {
  fill: var(--forge-text);
  font-weight: 600;
}
</style>
