<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ClockView } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { useClocks } from '@/stores/clocks'
import { useSession } from '@/stores/session'

/** Over every screen: what has ended, and what to do now. */
const POLL_MS = 10_000
const SECOND_MS = 1000
const { t } = useI18n()
const clocks = useClocks()
const session = useSession()
const problem = ref('')
useIntervalFn(() => clocks.tick(), SECOND_MS)
useIntervalFn(
  () => {
    if (session.person !== null) void clocks.load().catch(() => undefined)
  },
  POLL_MS,
  { immediateCallback: true },
)

async function seen(clock: ClockView) {
  problem.value = ''
  try {
    if (clock.at === null) clocks.hush(clock)
    else await clocks.stop(clock, t('clocks.stopped'), '')
  } catch (error) {
    problem.value = wordsOf(error)
  }
}
</script>

<template>
  <div v-if="session.person && clocks.calling.length > 0" class="bell screen-only" role="alert">
    <p v-for="one in clocks.calling.slice(0, 2)" :key="one.id">
      <span
        ><b>{{ one.machine }}: {{ one.name }}</b> {{ t('clocks.ended') }} {{ one.next }}</span
      >
      <RouterLink class="press small" :to="{ name: 'machine', params: { id: one.machineId } }">{{
        t('today.go')
      }}</RouterLink>
      <button type="button" class="press small" @click="seen(one)">{{ t('clocks.seen') }}</button>
    </p>
    <p v-if="problem">{{ problem }}</p>
  </div>
</template>

<style scoped>
.bell {
  display: grid;
  background: var(--watch);
  color: var(--paper);
}
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 6px 18px;
}
p > span {
  flex: 1;
  min-width: 220px;
}
@media (max-width: 640px) {
  p {
    flex-wrap: nowrap;
    padding: 2px 12px;
  }
  p > span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
}
b {
  font: 600 20px/1.2 var(--figures);
}
.press {
  display: inline-flex;
  align-items: center;
  color: var(--ink);
  text-decoration: none;
}
</style>
