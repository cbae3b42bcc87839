<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PutBackView } from '@/api/client'
import { useMachine } from '@/stores/machine'

/** Closes an entry of the put-back list on a person's word. */
const entry = defineModel<PutBackView | null>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const word = ref('')
const problem = ref('')
const open = computed({
  get: () => entry.value !== null,
  set: (on) => (entry.value = on ? entry.value : null),
})

watch(entry, () => {
  word.value = ''
  problem.value = ''
})

async function close() {
  if (entry.value === null) return
  try {
    await machine.closePutBack(entry.value.id, word.value)
    entry.value = null
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <ElDialog v-model="open" :title="t('tape.closeTitle')" width="min(480px, 94vw)">
    <form v-if="entry" @submit.prevent="close">
      <p class="what">{{ entry.what }}</p>
      <label for="put-back-word">{{ t('tape.closeWord') }}</label>
      <ElInput id="put-back-word" v-model="word" maxlength="500" autofocus />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="foot">
        <button type="button" class="press small" @click="open = false">{{ t('app.cancel') }}</button>
        <button type="submit" class="press small forge" :disabled="word.trim() === '' || machine.sending">
          {{ t('tape.closeIt') }}
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
.what {
  font: 600 22px/1.2 var(--figures);
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
