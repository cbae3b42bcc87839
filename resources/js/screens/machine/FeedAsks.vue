<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import StatusMark from '@/components/StatusMark.vue'
import { useMachine } from '@/stores/machine'

/** What was found on another unit of the same panel, and is to be read here too: a question, and no stop. */
const emit = defineEmits<{ read: [check: string] }>()
const { t } = useI18n()
const machine = useMachine()
</script>

<template>
  <ul v-if="machine.view?.feed && machine.view.feed.asks.length > 0" class="asks">
    <li v-for="ask in machine.view.feed.asks" :key="ask.kind">
      <StatusMark status="watch" :size="22" />
      <span>{{ ask.words }}</span>
      <button type="button" class="press small" @click="emit('read', ask.read[0] ?? '')">
        {{ t('feedMap.read') }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.asks {
  margin: 0;
  padding: 0 20px;
  list-style: none;
  background: var(--ground);
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  min-height: 52px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 16px;
  line-height: 1.25;
}
@media (max-width: 640px) {
  .asks {
    padding: 0 14px;
  }
}
</style>
