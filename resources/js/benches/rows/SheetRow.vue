<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FieldView } from '@/api/client'
import { shownUnit } from '@/lib/reading'
import { useBench } from '../bench'

/** What the equipment sheet fills, as a sentence; opened where the nameplate on the machine says otherwise. */
const props = defineProps<{ fields: FieldView[] }>()
const bench = useBench()
const { t } = useI18n()

function shown(field: FieldView, value: unknown = bench.prefill.value[field.name]): string {
  if (Array.isArray(value)) return value.map((one) => shown(field, one)).join(', ')
  const word = field.optionWords[field.options.findIndex((one) => one === value)]
  if (word !== undefined) return word
  if (typeof value === 'boolean') return t(value ? 'bench.yes' : 'bench.no')
  if (typeof value === 'object' && value !== null && 'value' in value) {
    const { value: figure, unit } = value as unknown as { value: number; unit: string }
    return `${figure} ${shownUnit(unit)}`
  }
  if (field.name === 'plate_voltage') return `${String(value)} V`
  const [figure = '', unit = ''] = String(value).split(' ')
  return unit === '' ? figure : `${figure} ${shownUnit(unit)}`
}
const MOST = 4
const list = computed(() =>
  props.fields
    .slice(0, MOST)
    .map((f) => `${f.label.replace(/,.*/, '')} ${shown(f)}`)
    .join(', ')
    // An inch has its own point.
    .replace(/\.$/, ''),
)
</script>

<template>
  <p class="sheet">
    <span>{{ t('bench.fromSheet', { list }) }}</span>
    <button type="button" @click="bench.draft.value.otherPlate = true">{{ t('bench.otherPlate') }}</button>
  </p>
</template>

<style scoped>
.sheet {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  border-bottom: 1px solid var(--rule);
  font-size: 15px;
  color: var(--iron-soft);
}
.sheet button {
  flex: none;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  text-decoration: underline;
}
</style>
