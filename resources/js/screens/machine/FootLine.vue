<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { computed } from 'vue'
import { useGuide } from '@/guide/useGuide'
import { useMachine } from '@/stores/machine'
import { useOutbox } from '@/stores/outbox'

/** Whether everything is sent, and which keys there are. */
const guide = useGuide()
const { t } = useI18n()
const machine = useMachine()
const outbox = useOutbox()
const told = computed(() =>
  outbox.refused.length > 0
    ? t('foot.refused', { count: outbox.refused.length })
    : t('foot.waiting', { count: outbox.waiting.length }),
)

function show() {
  window.dispatchEvent(new Event('iron-start:outbox'))
}
</script>

<template>
  <footer class="foot-line">
    <span v-if="outbox.mine.length > 0" role="status">
      <button type="button" class="away" :class="{ refused: outbox.refused.length > 0 }" @click="show">
        {{ told }}
      </button>
    </span>
    <span v-else role="status" :class="{ away: !machine.reachable }">{{
      machine.reachable ? t('foot.sent') : t('foot.away')
    }}</span>
    <button type="button" class="hints" @click="guide.show('keys')">{{ t('foot.keys') }}</button>
  </footer>
</template>

<style scoped>
.foot-line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 0 18px;
  background: var(--frame);
  color: var(--on-frame-soft);
  font-size: 15px;
}
.away {
  padding: 2px 10px;
  background: var(--on-frame);
  color: #1b1f22;
  font-weight: 600;
}
.refused {
  border-left: 8px solid var(--stop);
}
button.away {
  border-width: 0;
}
button.away.refused {
  border-left-width: 8px;
}
.hints {
  border: 0;
  background: none;
  color: inherit;
}
dl {
  display: grid;
  grid-template-columns: 70px 1fr;
  gap: 8px;
}
dt {
  font: 600 20px/1.2 var(--figures);
}
@media (max-width: 900px) {
  .hints {
    display: none;
  }
  .foot-line {
    padding: 0 12px;
  }
}
</style>
