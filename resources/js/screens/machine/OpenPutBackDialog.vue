<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import AskDialog from '@/components/AskDialog.vue'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'

/** Opens an entry of the put-back list by hand: what was done, where and why. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const checks = useChecks()
const machine = useMachine()
const kind = ref('')
const where = ref('')

watch(open, () => (kind.value = where.value = ''))
</script>

<template>
  <AskDialog
    v-model="open"
    :title="t('tape.openTitle')"
    :submit="t('tape.openIt')"
    :incomplete="kind === '' || where.trim() === ''"
    :send="() => machine.openPutBack(kind, where, { label: t('tape.opened'), words: where })"
    forge
  >
    <label for="put-back-kind">{{ t('tape.opened') }}</label>
    <select id="put-back-kind" v-model="kind">
      <option v-for="one in checks.putBackKinds" :key="one.kind" :value="one.kind">{{ one.text }}</option>
    </select>
    <label for="put-back-where">{{ t('tape.openWhere') }}</label>
    <ElInput id="put-back-where" v-model="where" maxlength="160" />
  </AskDialog>
</template>

<style scoped>
select {
  min-height: 48px;
  padding: 0 8px;
  border: 2px solid var(--iron);
  background: var(--box);
}
</style>
