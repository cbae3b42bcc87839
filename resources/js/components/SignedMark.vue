<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { MachineView } from '@/api/client'
import { clock, day } from '@/lib/time'

/** A signature as the hand drew it, whose it is and when. */
defineProps<{ signature: MachineView['signOff']['signatures'][number] }>()
const { t } = useI18n()

function path(strokes: number[][][]): string {
  return strokes
    .map(
      (line) =>
        'M' + line.map(([x = 0, y = 0]) => `${(x * 300).toFixed(1)} ${(y * 90).toFixed(1)}`).join(' L'),
    )
    .join(' ')
}
</script>

<template>
  <figure>
    <svg viewBox="0 0 300 90" role="img" :aria-label="signature.name">
      <path :d="path(signature.strokes)" />
    </svg>
    <figcaption>
      {{ signature.name }}, {{ t(`roles.${signature.role as 'lead'}`) }}, {{ day(signature.when) }}
      {{ clock(signature.when) }}
    </figcaption>
  </figure>
</template>

<style scoped>
svg {
  display: block;
  width: 240px;
  background: #ffffff;
  border-bottom: 2px solid var(--ink);
}
path {
  fill: none;
  stroke: #1b1f22;
  stroke-width: 2;
  stroke-linecap: round;
}
figcaption {
  font-size: 14.5px;
}
</style>
