<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView } from '@/api/client'
import { useMachine } from '@/stores/machine'

/** A lead opens a question against a stop, with a reason. */
const props = defineProps<{ gate: GateView }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const reason = ref('')
const problem = ref('')

watch(open, () => {
  reason.value = ''
  problem.value = ''
})

async function put() {
  try {
    await machine.openGate(props.gate.gate, reason.value)
    open.value = false
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <ElDialog v-model="open" :title="t('override.title')" width="min(520px, 94vw)">
    <form @submit.prevent="put">
      <p>{{ gate.sentence }}</p>
      <label for="override-why">{{ t('override.why') }}</label>
      <ElInput id="override-why" v-model="reason" type="textarea" :rows="3" maxlength="500" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="foot">
        <button type="button" class="press small" @click="open = false">{{ t('app.cancel') }}</button>
        <button type="submit" class="press small" :disabled="reason.trim().length < 10 || machine.sending">
          {{ t('override.open') }}
        </button>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}
.foot {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
.problem {
  color: var(--stop);
}
</style>
