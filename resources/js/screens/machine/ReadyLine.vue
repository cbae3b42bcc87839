<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import AskDialog from '@/components/AskDialog.vue'
import { wordsOf } from '@/lib/failure'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

/** One asks whether the other is ready; only the other answers. */
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const asking = ref(false)
const what = ref('')
const problem = ref('')
const ready = computed(() => machine.view?.ready ?? null)
const mine = computed(() => ready.value?.whoId === session.person?.id)

async function answerIt() {
  problem.value = ''
  try {
    if (ready.value !== null)
      await machine.tell(
        `ready/${ready.value.at}`,
        { word: '' },
        { label: t('entries.ready_answered'), words: ready.value.what },
      )
  } catch (error) {
    problem.value = wordsOf(error)
  }
}

function ask() {
  const said = { label: t('entries.ready_asked'), words: what.value }
  return machine.tell('ready', { what: what.value }, said)
}

function begin() {
  what.value = ''
  asking.value = true
}
</script>

<template>
  <div v-if="session.may('record')" class="ready" :class="{ called: ready !== null && !mine }">
    <template v-if="ready !== null && !mine">
      <p role="status">
        <b>{{ t('ready.asks', { who: ready.who.split(' ')[0] }) }}</b> {{ ready.what }}?
      </p>
      <button type="button" class="press small forge" :disabled="machine.sending" @click="answerIt">
        {{ t('ready.yes') }}
      </button>
    </template>
    <p v-else-if="ready !== null" role="status">{{ t('ready.waits', { what: ready.what }) }}</p>
    <button v-else type="button" class="press small" @click="begin">{{ t('ready.ask') }}</button>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <AskDialog
      v-model="asking"
      :title="t('ready.title')"
      :submit="t('ready.send')"
      :incomplete="what.trim() === ''"
      :send="ask"
      forge
    >
      <label for="ready-what">{{ t('ready.what') }}</label>
      <ElInput id="ready-what" v-model="what" maxlength="160" autofocus />
    </AskDialog>
  </div>
</template>

<style scoped>
.ready {
  display: grid;
  gap: 6px;
}
.called {
  padding: 8px 10px;
  background: var(--box);
  border-left: 6px solid var(--forge);
}
.problem {
  color: var(--stop);
}
</style>
