<script setup lang="ts">
/** The shape of a status: told by form as well as colour. */
defineProps<{ status: string; size?: number }>()
</script>

<template>
  <svg
    :width="size ?? 28"
    :height="size ?? 28"
    viewBox="0 0 28 28"
    class="mark"
    :class="status"
    aria-hidden="true"
  >
    <template v-if="status === 'clear'">
      <rect x="2" y="2" width="24" height="24" class="fill" />
      <path d="M8 14.5l4.2 4.2L20.5 10" class="cut" />
    </template>
    <template v-else-if="status === 'watch'">
      <path d="M14 3.5L26 25H2z" class="line" />
      <path d="M14 11.5v7" class="line thick" />
    </template>
    <template v-else-if="status === 'stop'">
      <rect x="2" y="2" width="24" height="24" class="fill" />
      <path d="M6.5 14h15" class="cut bar" />
    </template>
    <template v-else-if="status === 'overridden'">
      <rect x="3" y="3" width="22" height="22" class="line stitch" />
      <path d="M9 14h10" class="line" />
    </template>
    <rect v-else x="3" y="3" width="22" height="22" class="line" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
}
.fill {
  fill: currentcolor;
}
.line {
  fill: none;
  stroke: currentcolor;
  stroke-width: 3;
}
.thick {
  stroke-width: 4;
}
.stitch {
  stroke-dasharray: 5 3.4;
}
.cut {
  fill: none;
  stroke: var(--paper);
  stroke-width: 3.2;
}
.bar {
  stroke-width: 5;
}
.clear {
  color: var(--clear);
}
.watch {
  color: var(--watch);
}
.stop {
  color: var(--stop);
}
.open {
  color: var(--open);
}
.overridden {
  color: var(--ink);
}
</style>
