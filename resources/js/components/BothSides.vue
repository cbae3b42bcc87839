<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { ProblemView } from '@/api/client'
import { clock, day } from '@/lib/time'

/** What the server would not take, and why; where somebody was first, what both wrote. */
defineProps<{ problem: ProblemView; yours?: string }>()
const { t } = useI18n()
</script>

<template>
  <div class="sides" role="alert">
    <p class="detail">{{ problem.detail }}</p>
    <ul v-if="problem.reasons && problem.reasons.length > 1">
      <li v-for="reason in problem.reasons" :key="reason">{{ reason }}</li>
    </ul>
    <dl v-if="problem.theirs">
      <dt>{{ problem.theirs.who }}, {{ day(problem.theirs.when) }} {{ clock(problem.theirs.when) }}</dt>
      <dd>{{ problem.theirs.words || t('sides.nothing') }}</dd>
      <dt>{{ t('sides.you') }}</dt>
      <dd>{{ problem.yours?.words || yours || t('sides.nothing') }}</dd>
    </dl>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  gap: 6px;
}
.detail {
  color: var(--stop);
}
ul {
  padding-left: 20px;
  list-style: square;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 12px;
  padding: 8px 10px;
  background: var(--pan);
}
dt {
  font-weight: 600;
}
</style>
