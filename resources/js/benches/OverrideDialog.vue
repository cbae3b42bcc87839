<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import { useMachine } from '@/stores/machine'

/** A lead opens a question against a stop, with a reason. */
defineProps<{ gate: GateView }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const reason = ref('')

watch(open, () => (reason.value = ''))
</script>

<template>
  <AskDialog
    v-model="open"
    :title="t('override.title')"
    :submit="t('override.open')"
    :incomplete="reason.trim().length < 10"
    :send="
      () => machine.openGate(gate.gate, reason, { label: `${t('override.on')}, ${gate.name}`, words: reason })
    "
  >
    <p>{{ gate.sentence }}</p>
    <label for="override-why">{{ t('override.why') }}</label>
    <ElInput id="override-why" v-model="reason" type="textarea" :rows="3" maxlength="500" />
  </AskDialog>
</template>
