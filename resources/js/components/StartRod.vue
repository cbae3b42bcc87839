<script setup lang="ts">
/** The start rod: how far a machine is, lying on a tile. Twelve pieces, iron to forge to ink. */
defineProps<{ states: string[]; label: string }>()
const WIDTH = 10
</script>

<template>
  <svg class="rod" viewBox="0 0 120 18" role="img" :aria-label="label">
    <g v-for="(state, i) in states" :key="i" :transform="`translate(${i * WIDTH} 0)`">
      <rect v-if="state === 'not_on_job'" x="0" y="8.5" width="10" height="1" class="none" />
      <rect v-else-if="state === 'answered'" x="0" y="3" width="9.4" height="12" class="answered" />
      <template v-else-if="state === 'overridden'">
        <rect x="0" y="3" width="2.6" height="12" class="answered" />
        <rect x="3.4" y="3" width="2.6" height="12" class="answered" />
        <rect x="6.8" y="3" width="2.6" height="12" class="answered" />
      </template>
      <template v-else-if="state === 'stopped'">
        <rect x="3.4" y="0" width="2.8" height="18" class="stopped" />
      </template>
      <rect v-else-if="state === 'asking'" x="0" y="1" width="9.4" height="16" class="asking" />
      <rect v-else x="0" y="5" width="9.4" height="8" class="cold" />
    </g>
  </svg>
</template>

<style scoped>
.rod {
  width: 120px;
  height: 18px;
  flex: none;
}
.none {
  fill: var(--iron-soft);
}
.answered {
  fill: var(--ink);
}
.stopped {
  fill: var(--stop);
}
.asking {
  fill: var(--forge);
}
.cold {
  fill: var(--rule);
}
</style>
