<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TodayMachine } from '@/api/client'
import StartRod from './StartRod.vue'

/** A unit on a board: its rod, its name, what it is asked and what holds it; what else is told of it stands at the end. */
const props = defineProps<{
  machine: Pick<
    TodayMachine,
    'id' | 'name' | 'place' | 'states' | 'gate' | 'question' | 'sentence' | 'status' | 'notes'
  > &
    Partial<Pick<TodayMachine, 'feed'>>
}>()
const { t } = useI18n()
const NOTES = 2
const label = computed(() =>
  t('today.rod', {
    name: props.machine.name,
    state: props.machine.gate === null ? t('today.done') : props.machine.question,
  }),
)
</script>

<template>
  <RouterLink class="row" :to="{ name: 'machine', params: { id: machine.id } }">
    <StartRod :states="machine.states" :label="label" />
    <span class="name"
      >{{ machine.name }}<small>{{ machine.place }}</small></span
    >
    <span class="question" :class="machine.status">
      <b>{{ machine.question || t('today.done') }}</b>
      <small>{{ machine.sentence }}</small>
      <small v-for="ask in machine.feed" :key="ask" class="note">{{ ask }}</small>
      <small v-for="note in machine.notes.slice(0, NOTES)" :key="note" class="note">{{ note }}</small>
    </span>
    <slot />
  </RouterLink>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 120px 130px minmax(0, 1fr) 150px;
  align-items: center;
  gap: 18px;
  min-height: 60px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  text-decoration: none;
}
.row:hover {
  background: var(--ground);
}
.name {
  font: 600 24px/1.1 var(--figures);
}
small {
  display: block;
  font: 400 14px/1.3 var(--text);
  color: var(--iron-soft);
}
.note {
  padding-left: 8px;
  border-left: 4px solid var(--watch);
}
.question small {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
}
.question b {
  font-weight: 400;
}
.question.stop b {
  font-weight: 600;
  color: var(--stop);
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: 120px minmax(0, 1fr);
    gap: 6px 14px;
    padding: 10px 0;
  }
  .question {
    grid-column: 1 / -1;
  }
}
</style>
