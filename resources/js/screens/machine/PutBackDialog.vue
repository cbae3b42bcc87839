<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PutBackView } from '@/api/client'
import { useMachine } from '@/stores/machine'

/** Closes an entry of the put-back list on a person's word, or leaves it out with an owner and a date. */
const entry = defineModel<PutBackView | null>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const word = ref('')
const problem = ref('')
const leaving = ref(false)
const owner = ref('')
const due = ref('')
const open = computed({
  get: () => entry.value !== null,
  set: (on) => (entry.value = on ? entry.value : null),
})

const incomplete = computed(
  () => word.value.trim() === '' || (leaving.value && (owner.value.trim() === '' || due.value === '')),
)

watch(entry, () => {
  leaving.value = false
  word.value = owner.value = due.value = ''
  problem.value = ''
})

async function send() {
  if (entry.value === null) return
  try {
    if (leaving.value) await machine.leavePutBack(entry.value.id, word.value, owner.value, due.value)
    else await machine.closePutBack(entry.value.id, word.value)
    entry.value = null
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <ElDialog
    v-model="open"
    :title="t(leaving ? 'tape.leaveTitle' : 'tape.closeTitle')"
    width="min(480px, 94vw)"
  >
    <form v-if="entry" @submit.prevent="send">
      <p class="what">{{ entry.what }}</p>
      <label for="put-back-word">{{ t(leaving ? 'tape.leaveWhy' : 'tape.closeWord') }}</label>
      <ElInput id="put-back-word" v-model="word" maxlength="500" autofocus />
      <template v-if="leaving">
        <label for="put-back-owner">{{ t('tape.leaveOwner') }}</label>
        <ElInput id="put-back-owner" v-model="owner" maxlength="120" />
        <label for="put-back-due">{{ t('tape.leaveDue') }}</label>
        <input id="put-back-due" v-model="due" type="date" class="date" />
      </template>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="foot">
        <button type="button" class="press small" @click="open = false">{{ t('app.cancel') }}</button>
        <button v-if="!leaving" type="button" class="press small" @click="leaving = true">
          {{ t('tape.leaveIt') }}
        </button>
        <button type="submit" class="press small forge" :disabled="incomplete || machine.sending">
          {{ t(leaving ? 'tape.leaveIt' : 'tape.closeIt') }}
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
.date {
  min-height: 44px;
  padding: 0 10px;
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
