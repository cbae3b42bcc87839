<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import ChoiceField from '@/components/ChoiceField.vue'
import { useMachine } from '@/stores/machine'

/** Which compressor a reading is about. */
const name = defineModel<string | undefined>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const KINDS = ['scroll', 'screw', 'reciprocating']
const options = computed(() => {
  const loads =
    (machine.view?.prefill['power.rotation'] as { loads?: { name: string; kind: string }[] } | undefined)
      ?.loads ?? []
  return loads
    .filter((load) => KINDS.includes(load.kind))
    .map((load) => ({ value: load.name, text: load.name }))
})
</script>

<template>
  <ChoiceField v-model="name" :label="t('compressor.which')" :options="options" />
</template>
