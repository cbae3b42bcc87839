<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { clock, day } from '@/lib/time'
import { useMachine } from '@/stores/machine'

/** The locks of all units of the job on one board: who hung which, and what has none. */
defineEmits<{ recorded: [status: string]; choose: [gate: number]; tab: [tab: string] }>()
const { t } = useI18n()
const machine = useMachine()
const board = ref<Schemas['LockBoardView'] | null>(null)
const failure = ref('')
const hung = computed(() => board.value?.machines.reduce((sum, one) => sum + one.locks.length, 0) ?? 0)

async function load() {
  const at = machine.view
  if (at === null) return
  try {
    const path = { machine: at.id }
    board.value = await answer(api.GET('/api/v1/machines/{machine}/locks', { params: { path } }))
    failure.value = ''
  } catch (error) {
    failure.value = wordsOf(error)
  }
}
onMounted(load)
watch(() => machine.view?.news, load)

defineExpose({ record: () => undefined, correct: () => undefined })
</script>

<template>
  <div class="job board">
    <p class="sum" role="status">{{ t('lockBoard.sum', { count: hung }, hung) }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <ul>
      <li v-for="one in board?.machines ?? []" :key="one.id">
        <RouterLink class="unit" :to="{ name: 'machine', params: { id: one.id } }">
          <b>{{ one.name }}</b><small>{{ one.place }}</small>
        </RouterLink>
        <div>
          <p v-for="lock in one.locks" :key="lock.id" class="lock">
            <b>{{ lock.what }}</b><small
              >{{ lock.who }},
              {{ t('lockBoard.since', { time: `${day(lock.since)} ${clock(lock.since)}`.trim() }) }}</small
            >
          </p>
          <p v-if="one.locks.length === 0" class="none">{{ t('lockBoard.none') }}</p>
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.board {
  min-height: 0;
  overflow: auto;
}
.sum {
  padding: 4px 0 10px;
  font-size: 20px;
}
ul {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--rule);
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(110px, 190px) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.unit {
  display: block;
  min-height: 44px;
  color: var(--ink);
}
b {
  display: block;
  font: 600 21px/1.15 var(--figures);
}
small {
  font-size: 15px;
  color: var(--iron-soft);
}
.lock {
  padding-left: 10px;
  border-left: 6px solid var(--stop);
}
.none {
  padding-top: 8px;
  color: var(--iron-soft);
}
.failure {
  color: var(--stop);
}
</style>
