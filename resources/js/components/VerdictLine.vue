<script setup lang="ts">
import StatusMark from './StatusMark.vue'

/** One sentence between two rules, with its shape. Its height is kept, so that nothing jumps while typing. */
defineProps<{ status: string; sentence: string; said: string; note?: string }>()
</script>

<template>
  <div class="verdict" :class="status" role="status" aria-live="polite">
    <StatusMark :status="status" :size="34" />
    <p>
      <span class="sr-only">{{ said }}: </span>{{ sentence }}
      <span v-if="note" class="note">{{ note }}</span>
    </p>
  </div>
</template>

<style scoped>
.verdict {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 78px;
  padding: 8px 0;
  border-top: 2px solid var(--ink);
  border-bottom: 1px solid var(--rule);
}
p {
  font-size: 19px;
  line-height: 1.32;
}
.note {
  color: var(--watch);
}
@media (max-width: 640px) {
  .verdict {
    gap: 12px;
    min-height: 68px;
  }
  p {
    font-size: 18px;
  }
}
</style>
