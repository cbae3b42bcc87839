<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import BothSides from '@/components/BothSides.vue'
import { wordsOf } from '@/lib/failure'
import type { Waiting } from '@/lib/deviceStore'
import { clock, day } from '@/lib/time'
import { useOutbox } from '@/stores/outbox'
import WaitsFor from './WaitsFor.vue'

/** What has not arrived, and what was not taken: once more, as a note, or away with it. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const outbox = useOutbox()
const problem = ref('')
const busy = ref(false)

async function run(what: () => Promise<unknown>) {
  problem.value = ''
  busy.value = true
  try {
    await what()
    if (outbox.mine.length === 0) open.value = false
  } catch (error) {
    problem.value = wordsOf(error)
  } finally {
    busy.value = false
  }
}

function note(item: Waiting): string {
  return t('outbox.note', {
    label: item.label,
    words: item.words,
    time: clock(item.deviceAt),
    why: item.problem?.detail ?? '',
  })
}
</script>

<template>
  <ElDialog v-model="open" :title="t('outbox.title')" width="min(640px, 96vw)">
    <p v-if="outbox.mine.length === 0">{{ t('outbox.none') }}</p>
    <ul>
      <li v-for="item in outbox.mine" :key="item.id">
        <h3>{{ item.machineName }}: {{ item.label }}</h3>
        <p v-if="item.words">{{ item.words }}</p>
        <p class="caption">
          {{
            t('outbox.written', {
              time: `${day(item.deviceAt)} ${clock(item.deviceAt)}`.trim(),
              who: item.who,
            })
          }}
        </p>
        <template v-if="item.problem">
          <p v-if="item.problem.aside">{{ t('outbox.aside') }}</p>
          <BothSides :problem="item.problem" :yours="`${item.label}. ${item.words}`" />
          <div class="foot">
            <button type="button" class="press small" :disabled="busy" @click="run(() => outbox.drop(item))">
              {{ t('outbox.drop') }}
            </button>
            <button
              v-if="!item.photo"
              type="button"
              class="press small"
              :disabled="busy"
              @click="run(() => outbox.keepAsNote(item, note(item)))"
            >
              {{ t('outbox.asNote') }}
            </button>
            <button type="button" class="press small" :disabled="busy" @click="run(() => outbox.retry(item))">
              {{ t('errors.retry') }}
            </button>
          </div>
        </template>
      </li>
    </ul>
    <WaitsFor />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="outbox.waiting.length > 0" class="foot">
      <button type="button" class="press small" :disabled="busy" @click="run(() => outbox.drain())">
        {{ t('outbox.now') }}
      </button>
    </div>
  </ElDialog>
</template>

<style scoped>
li {
  display: grid;
  gap: 4px;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: flex-end;
  margin-top: 6px;
}
.problem {
  color: var(--stop);
}
</style>
