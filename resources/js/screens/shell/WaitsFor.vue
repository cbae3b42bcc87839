<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'

/**
 * On a shared device: how much waits for whom to sign in again. No more than that is told, and to people of another
 * company not even who it is.
 */
const { t } = useI18n()
const outbox = useOutbox()
const session = useSession()
const people = computed(() => {
  const here = session.view?.company ?? ''
  const counts = new Map<string, number>()
  for (const item of outbox.others) {
    const isKnown = session.person === null || item.company === here
    const who = isKnown ? item.who : ''
    counts.set(who, (counts.get(who) ?? 0) + 1)
  }
  return [...counts]
})
</script>

<template>
  <ul v-if="people.length > 0" class="waits-for">
    <li v-for="[who, count] in people" :key="who">
      {{ t('outbox.others', { count, who: who || t('outbox.somebody') }, count) }}
    </li>
  </ul>
</template>

<style scoped>
.waits-for {
  padding: 10px 12px;
  border-left: 8px solid var(--forge);
  background: var(--pan);
}
</style>
