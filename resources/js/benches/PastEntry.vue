<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import StatusMark from '@/components/StatusMark.vue'
import { clock, day } from '@/lib/time'
import { useMachine } from '@/stores/machine'
import { since } from './since'

/** What was recorded last, plainly as past: pale, with when and who, and what has changed since. */
const props = defineProps<{ entry: TapeEntry }>()
const { t } = useI18n()
const machine = useMachine()
const when = computed(() => `${day(props.entry.deviceAt)} ${clock(props.entry.deviceAt)}`.trim())
const changed = computed(() => since(props.entry, machine.view?.tape ?? [], machine.view?.putBack ?? []))
</script>

<template>
  <div class="past">
    <StatusMark :status="entry.status" :size="26" class="mark" />
    <div>
      <p class="when">{{ t('past.recorded', { when, who: entry.who }) }}</p>
      <p class="said">{{ entry.headline }}</p>
      <p v-for="one in changed" :key="one.key" class="changed">
        {{ t(`past.${one.key}`, { time: one.time, words: one.words }) }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.past {
  display: flex;
  gap: 14px;
  min-height: 78px;
  padding: 8px 0;
  border-top: 2px solid var(--rule);
  border-bottom: 1px solid var(--rule);
}
.mark {
  flex: none;
  opacity: 0.5;
  filter: grayscale(1);
}
.when {
  font-size: 14.5px;
  color: var(--iron-soft);
}
.said {
  font-size: 16px;
  line-height: 1.3;
  color: var(--iron-soft);
}
.changed {
  margin-top: 2px;
  font-size: 16px;
  font-weight: 600;
  color: var(--ink);
}
</style>
