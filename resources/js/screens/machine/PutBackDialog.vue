<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PutBackView } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import { useMachine } from '@/stores/machine'

/** Closes an entry of the put-back list on a person's word, or leaves it out with an owner and a date. */
const entry = defineModel<PutBackView | null>({ required: true })
const { t, te } = useI18n()
const machine = useMachine()
const word = ref('')
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

/** What some of them must say. */
const hint = computed(() => {
  const key = `putBackWord.${entry.value?.kind ?? ''}`
  return te(key) ? t(key as 'putBackWord.detector') : ''
})

watch(entry, () => {
  leaving.value = false
  word.value = owner.value = due.value = ''
})

async function send() {
  if (entry.value === null) return
  const { id, what } = entry.value
  if (leaving.value)
    await machine.leavePutBack(id, word.value, owner.value, due.value, {
      label: t('tape.leftOut'),
      words: `${what}: ${word.value}`,
    })
  else
    await machine.closePutBack(id, word.value, { label: t('tape.closed'), words: `${what}: ${word.value}` })
}
</script>

<template>
  <AskDialog
    v-model="open"
    :title="t(leaving ? 'tape.leaveTitle' : 'tape.closeTitle')"
    :submit="t(leaving ? 'tape.leaveIt' : 'tape.closeIt')"
    :incomplete="incomplete"
    :send="send"
    forge
  >
    <template v-if="entry">
      <p class="what">{{ entry.what }}</p>
      <label for="put-back-word">{{ t(leaving ? 'tape.leaveWhy' : 'tape.closeWord') }}</label>
      <ElInput id="put-back-word" v-model="word" maxlength="500" autofocus />
      <p v-if="!leaving && hint" class="caption">{{ hint }}</p>
      <template v-if="leaving">
        <label for="put-back-owner">{{ t('tape.leaveOwner') }}</label>
        <ElInput id="put-back-owner" v-model="owner" maxlength="120" />
        <label for="put-back-due">{{ t('tape.leaveDue') }}</label>
        <input id="put-back-due" v-model="due" type="date" class="date" />
      </template>
    </template>
    <template #instead>
      <button v-if="!leaving" type="button" class="press small" @click="leaving = true">
        {{ t('tape.leaveIt') }}
      </button>
    </template>
  </AskDialog>
</template>

<style scoped>
.what {
  font: 600 22px/1.2 var(--figures);
}
.date {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
}
</style>
