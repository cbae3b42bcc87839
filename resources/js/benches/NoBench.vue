<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView } from '@/api/client'
import VerdictLine from '@/components/VerdictLine.vue'
import { useDraft } from '@/composables/useDraft'
import { wordsOf } from '@/lib/failure'
import { GATES } from './gates'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

/** A question without a bench yet: said honestly, with a note that stands on the tape. */
const props = defineProps<{ gate: GateView }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const { draft, clear } = useDraft(`${machine.view?.id}.note.${props.gate.gate}`, () => ({ text: '' }))
const text = computed({ get: () => draft.value.text, set: (typed) => (draft.value.text = typed) })
const failure = ref('')
const STATUS: Record<string, string> = { answered: 'clear', stopped: 'stop', overridden: 'watch' }

async function keep() {
  failure.value = ''
  try {
    await machine.note(props.gate.gate, text.value, { label: t('tape.note'), words: text.value })
    clear()
  } catch (error) {
    failure.value = wordsOf(error)
  }
}
</script>

<template>
  <div class="none">
    <VerdictLine :status="STATUS[gate.state] ?? 'open'" :sentence="gate.sentence" :said="t('status.open')" />
    <p v-if="!GATES[gate.gate]">{{ t('note.title') }}</p>
    <form v-if="session.may('record')" @submit.prevent="keep">
      <label for="note">{{ t('note.label') }}</label>
      <ElInput id="note" v-model="text" type="textarea" :rows="4" maxlength="2000" />
      <button type="submit" class="press forge" :disabled="text.trim() === '' || machine.sending">
        {{ t('note.keep') }}
      </button>
      <p v-if="failure" role="alert">{{ failure }}</p>
    </form>
  </div>
</template>

<style scoped>
.none {
  display: grid;
  align-content: start;
  gap: 16px;
  overflow: auto;
}
form {
  display: grid;
  gap: 8px;
  justify-items: start;
  max-width: 640px;
}
form :deep(.el-textarea) {
  width: 100%;
}
</style>
