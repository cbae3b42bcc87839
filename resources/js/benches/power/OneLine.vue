<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

/** The unit's one-line: board, disconnect, terminals, loads, and the place to swap. */
const props = defineProps<{ loads: string[]; swapSupply: boolean; swapLoads: string[]; backwards: string[] }>()
const { t } = useI18n()
const WIDTH = 300
const shown = computed(() => props.loads.slice(0, 4))
const step = computed(() => WIDTH / Math.max(1, shown.value.length))
const mark = (name: string) => props.swapLoads.includes(name)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 218`" role="img" :aria-label="swapSupply ? t('rotation.swapHere') : t('rotation.terminals')">
    <line x1="150" y1="0" x2="150" y2="20" class="wire" />
    <rect x="92" y="20" width="116" height="34" class="box" />
    <text x="150" y="42" text-anchor="middle" font-size="15">{{ t('rotation.disconnect') }}</text>
    <line x1="150" y1="54" x2="150" y2="98" class="wire" />
    <rect x="92" y="98" width="116" height="34" class="box" />
    <text x="150" y="120" text-anchor="middle" font-size="15">{{ t('rotation.terminals') }}</text>
    <template v-if="swapSupply">
      <path d="M143 58 L157 94 M157 58 L143 94" class="swap" />
      <rect x="84" y="60" width="132" height="80" class="here" />
      <text x="224" y="82" class="hot" font-size="15">{{ t('rotation.swapHere') }}</text>
    </template>
    <line x1="150" y1="132" x2="150" y2="150" class="wire" />
    <line :x1="step / 2" y1="150" :x2="WIDTH - step / 2" y2="150" class="wire" />
    <g v-for="(load, i) in shown" :key="load">
      <line :x1="step * (i + 0.5)" y1="150" :x2="step * (i + 0.5)" y2="166" class="wire" />
      <rect :x="step * i + 4" y="166" :width="step - 8" height="32" :class="['box', { back: backwards.includes(load), swapload: mark(load) }]" />
      <text :x="step * (i + 0.5)" y="187" text-anchor="middle" font-size="15" :class="{ rev: backwards.includes(load) }">{{ load }}</text>
      <text v-if="mark(load)" :x="step * (i + 0.5)" y="214" text-anchor="middle" font-size="13.5" class="hot">{{ swapSupply ? t('rotation.putBackToo') : t('rotation.swapThis') }}</text>
    </g>
    <text v-if="swapSupply && swapLoads.length === 0" x="150" y="214" text-anchor="middle" font-size="13.5">{{ t('rotation.notHere') }}</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 215px;
  overflow: visible;
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
