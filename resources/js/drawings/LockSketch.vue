<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SketchProps } from './sketch'

/** What is live and what is dead with the lock where it hangs, and where the work is. */
const props = defineProps<SketchProps>()
const { t } = useI18n()
const word = (value: unknown) => (typeof value === 'string' ? value : undefined)
const lockAt = computed(() => word(props.input.lock_at))
const workAt = computed(() => word(props.input.work_at))
/** Dead is said of what was tested, never of what was only switched off. */
const off = computed(() => t(props.verdict?.status === 'clear' ? 'lockout.dead' : 'lockout.off'))
const upstream = computed(() => lockAt.value === 'upstream')
const danger = computed(() => workAt.value === 'line_side' && !upstream.value)
</script>

<template>
  <svg viewBox="0 0 300 270" class="sketch" role="img" :aria-label="t('lockout.lock')">
    <line x1="90" y1="0" x2="90" y2="26" class="live" />
    <rect x="30" y="26" width="120" height="38" class="box" />
    <text x="90" y="50" text-anchor="middle" font-size="15">{{ t('lockout.board') }}</text>
    <line x1="90" y1="64" x2="90" y2="120" :class="upstream ? 'dead' : 'live'" />
    <text x="114" y="97" font-size="15" :class="upstream ? 'off' : 'hot'">
      {{ upstream ? off : t('lockout.live') }} · {{ t('lockout.line') }}
    </text>
    <rect x="30" y="120" width="120" height="38" class="box" />
    <text x="90" y="144" text-anchor="middle" font-size="15">{{ t('rotation.disconnect') }}</text>
    <line x1="90" y1="158" x2="90" y2="210" :class="lockAt ? 'dead' : 'live'" />
    <text x="114" y="188" font-size="15" :class="lockAt ? 'off' : 'hot'">
      {{ lockAt ? off : t('lockout.live') }} · {{ t('lockout.load') }}
    </text>
    <rect x="30" y="210" width="120" height="38" class="box" />
    <text x="90" y="234" text-anchor="middle" font-size="15">{{ t('rotation.terminals') }}</text>
    <g v-if="lockAt" :transform="`translate(160 ${upstream ? 30 : 124})`">
      <path d="M7 14 v-6 a7 7 0 0 1 14 0 v6" class="shackle" />
      <rect x="2" y="14" width="24" height="17" class="body" />
      <text x="34" y="28" font-size="15">{{ t('lockout.lock') }}</text>
    </g>
    <rect
      v-if="workAt"
      x="78"
      :y="workAt === 'line_side' ? 70 : 164"
      width="24"
      :height="44"
      class="work"
      :class="{ danger }"
    />
  </svg>
</template>

<style scoped>
.sketch {
  display: block;
  width: 100%;
  max-height: 290px;
}
.box {
  fill: var(--box);
  stroke: var(--ink);
  stroke-width: 2;
}
.live {
  stroke: var(--stop);
  stroke-width: 6;
}
.dead {
  stroke: var(--iron-soft);
  stroke-width: 3;
  stroke-dasharray: 7 5;
}
.hot {
  fill: var(--stop);
  font-weight: 600;
}
.off {
  fill: var(--iron-soft);
}
.shackle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4;
}
.body {
  fill: var(--ink);
}
.work {
  fill: none;
  stroke: var(--forge);
  stroke-width: 4;
}
.work.danger {
  stroke: var(--stop);
}
</style>
