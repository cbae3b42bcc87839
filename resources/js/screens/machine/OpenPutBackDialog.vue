<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'

/** Opens an entry of the put-back list by hand: what was done, where and why. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const checks = useChecks()
const machine = useMachine()
const kind = ref('')
const where = ref('')
const problem = ref('')

watch(open, () => {
  kind.value = ''
  where.value = ''
  problem.value = ''
})

async function put() {
  try {
    await machine.openPutBack(kind.value, where.value)
    open.value = false
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <ElDialog v-model="open" :title="t('tape.openTitle')" width="min(480px, 94vw)">
    <form @submit.prevent="put">
      <label for="put-back-kind">{{ t('tape.opened') }}</label>
      <select id="put-back-kind" v-model="kind">
        <option v-for="one in checks.putBackKinds" :key="one.kind" :value="one.kind">{{ one.text }}</option>
      </select>
      <label for="put-back-where">{{ t('tape.openWhere') }}</label>
      <ElInput id="put-back-where" v-model="where" maxlength="160" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="foot">
        <button type="button" class="press small" @click="open = false">{{ t('app.cancel') }}</button>
        <button
          type="submit"
          class="press small forge"
          :disabled="kind === '' || where.trim() === '' || machine.sending"
        >
          {{ t('tape.openIt') }}
        </button>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
}
select {
  min-height: 48px;
  padding: 0 8px;
  border: 2px solid var(--iron);
  background: var(--box);
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
