<script setup lang="ts">
import { computed, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useMachine } from '@/stores/machine'
import { fits, remembered, remember } from '@/lib/instruments'

/** What it is read with: those of the kind first, and the one used last already there. */
const props = defineProps<{ kind: string }>()
const chosen = defineModel<number | undefined>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const all = computed(() => machine.view?.instruments ?? [])
const fitting = computed(() => {
  const some = all.value.filter((one) => fits(props.kind, one.kind))
  return some.length > 0 ? some : all.value
})
const overdue = computed(() => all.value.find((i) => i.id === chosen.value)?.overdue ?? false)
watch(
  () => props.kind,
  (kind) => {
    const last = remembered(kind)
    chosen.value = fitting.value.some((i) => i.id === last) ? last : undefined
  },
  { immediate: true },
)
watch(chosen, (id) => remember(props.kind, id))
</script>

<template>
  <label v-if="fitting.length > 0" class="with">
    <span>{{ t('bench.readWith') }}</span>
    <select v-model="chosen">
      <option :value="undefined">{{ t('bench.noInstrument') }}</option>
      <option v-for="one in fitting" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
    <span v-if="overdue" class="warn">{{ t('bench.overdue') }}</span>
  </label>
</template>

<style scoped>
.with {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 6px 0;
  font-size: 15px;
  color: var(--iron-soft);
}
select {
  min-height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
}
.warn {
  color: var(--watch);
}
</style>
