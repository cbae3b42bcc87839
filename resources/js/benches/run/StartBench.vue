<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { Refused } from '@/api/client'
import VerdictLine from '@/components/VerdictLine.vue'
import { clock } from '@/lib/time'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { useOpening } from '../opening'

/** The one press. While Run is shut it says why, and what opens it. */
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const failure = ref('')
/** Without signal, or with readings still on the way, what is seen here may be old: the press is kept as pressed. */
const { unsure, reasons: told, refused: isRefused } = useOpening('start')
const refused = computed(() => (isRefused.value ? told.value : []))
const last = computed(() => machine.view?.tape.find((entry) => entry.kind === 'start'))
const sentence = computed(() =>
  refused.value.length > 0 ? (refused.value[0] ?? '') : t(unsure.value ? 'start.unsure' : 'start.ready'),
)

async function press() {
  failure.value = ''
  if (refused.value.length > 0) return
  try {
    await machine.start({ label: t('tape.start'), words: '' })
    emit('recorded', 'clear')
  } catch (error) {
    failure.value =
      error instanceof Refused ? (error.problem.reasons ?? [error.message]).join(' ') : String(error)
  }
}

defineExpose({ record: () => void press(), correct: () => undefined })
</script>

<template>
  <div class="start">
    <VerdictLine
      :status="refused.length > 0 ? 'stop' : unsure ? 'open' : 'clear'"
      :sentence="refused.length > 0 ? t('start.shut') : sentence"
      :said="t(refused.length > 0 ? 'status.stop' : unsure ? 'status.open' : 'status.clear')"
    />
    <ul v-if="told.length > 0">
      <li v-for="reason in told" :key="reason">{{ reason }}</li>
    </ul>
    <button
      v-if="session.may('start')"
      type="button"
      class="press forge go"
      :disabled="refused.length > 0 || machine.sending"
      @click="press"
    >
      {{ t('start.press') }}
    </button>
    <p v-else>{{ t('start.notYou') }}</p>
    <p v-if="last">
      {{ t('start.started') }} <span class="caption">{{ last.who }}, {{ clock(last.deviceAt) }}</span>
    </p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  </div>
</template>

<style scoped>
.start {
  display: grid;
  align-content: start;
  gap: 18px;
  overflow: auto;
}
ul {
  display: grid;
  gap: 8px;
  padding-left: 22px;
  list-style: square;
  font-size: 18px;
}
.go {
  justify-self: start;
  min-height: 76px;
  padding: 0 40px;
  font-size: 34px;
}
.failure {
  color: var(--stop);
}
</style>
