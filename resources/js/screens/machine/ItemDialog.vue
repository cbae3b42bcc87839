<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { OpenItemView } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import { useMachine } from '@/stores/machine'

/** Something left to somebody: what, whose, until when; a reading the season forbids may wait for it. Or done. */
const props = defineProps<{ item: OpenItemView | null }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const what = ref('')
const owner = ref('')
const due = ref('')
const waits = ref('')
const done = ref(false)
const word = ref('')
const SEASON = /^(charge\.state|air\.split|air\.mix|heat\..+)$/

/** Readings that may wait: those still missing that the season can forbid. */
const readings = computed(() =>
  (machine.view?.gates ?? [])
    .flatMap((gate) => gate.missing)
    .filter((one) => SEASON.test(one.check))
    .map((one) => ({ id: `${one.check}|${one.subject}`, todo: one.todo })),
)
const incomplete = computed(() =>
  done.value
    ? word.value.trim() === ''
    : what.value.trim() === '' || (props.item !== null && (owner.value.trim() === '' || due.value === '')),
)

watch(open, () => {
  what.value = props.item?.what ?? ''
  owner.value = props.item?.owner ?? ''
  due.value = props.item?.due ?? ''
  waits.value = word.value = ''
  done.value = false
})

function send() {
  if (props.item !== null && done.value)
    return machine.tell(
      `items/${props.item.id}/done`,
      { word: word.value },
      { label: t('entries.item_done'), words: `${what.value}: ${word.value}` },
    )
  if (props.item !== null)
    return machine.tell(
      `items/${props.item.id}/own`,
      { owner: owner.value, due: due.value },
      { label: t('entries.item_owned'), words: `${what.value}: ${owner.value}` },
    )
  const [check = '', subject = ''] = waits.value.split('|')
  return machine.tell(
    'items',
    { what: what.value, owner: owner.value, due: due.value, check, subject },
    { label: t('entries.item_opened'), words: what.value },
  )
}
</script>

<template>
  <AskDialog
    v-model="open"
    :title="t(item === null ? 'items.addTitle' : done ? 'items.doneTitle' : 'items.ownTitle')"
    :submit="t(item === null ? 'items.add' : done ? 'items.done' : 'items.own')"
    :incomplete="incomplete"
    :send="send"
    forge
  >
    <template v-if="item === null">
      <label for="item-what">{{ t('items.what') }}</label>
      <ElInput id="item-what" v-model="what" maxlength="240" autofocus />
      <template v-if="readings.length > 0">
        <label for="item-waits">{{ t('items.waits') }}</label>
        <select id="item-waits" v-model="waits">
          <option value="">{{ t('items.noReading') }}</option>
          <option v-for="one in readings" :key="one.id" :value="one.id">{{ one.todo }}</option>
        </select>
      </template>
    </template>
    <p v-else class="what">{{ item.what }}</p>
    <template v-if="done">
      <label for="item-word">{{ t('items.word') }}</label>
      <ElInput id="item-word" v-model="word" maxlength="500" autofocus />
    </template>
    <template v-else>
      <label for="item-owner">{{ t('items.owner') }}</label>
      <ElInput id="item-owner" v-model="owner" maxlength="120" />
      <label for="item-due">{{ t('items.due') }}</label>
      <input id="item-due" v-model="due" type="date" class="date" />
    </template>
    <template #instead>
      <button v-if="item !== null && !done" type="button" class="press small" @click="done = true">
        {{ t('items.done') }}
      </button>
    </template>
  </AskDialog>
</template>

<style scoped>
.what {
  font: 600 22px/1.2 var(--figures);
}
.date,
select {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
}
</style>
