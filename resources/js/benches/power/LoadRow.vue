<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import ChoiceField from '@/components/ChoiceField.vue'
import FigureField from '../shared/FigureField.vue'
import { isRotary, type SeenLoad, type SheetLoad } from './rotation'

/** One load: a wheel against its arrow, or a sealed compressor by its pressures, noise and amps. */
const props = defineProps<{ load: SheetLoad; index: number; asksHours: boolean; problemOf: (path: string) => string }>()
const model = defineModel<SeenLoad | undefined>({ required: true })
const { t } = useI18n()
const rotary = computed(() => isRotary(props.load))
const path = (member: string) => `loads.${props.index}.${member}`

function field<K extends keyof SeenLoad>(name: K) {
  return computed({ get: () => model.value?.[name], set: (value) => (model.value = { ...model.value, [name]: value }) })
}
const observed = field('observed')
const moved = field('pressure_moved')
const noise = field('noise')
const amps = field('amps')
const hours = field('hours_backwards')
const TURNS = [
  { value: 'correct', text: t('rotation.right') },
  { value: 'backwards', text: t('rotation.backwards') },
]
const MOVED = [
  { value: true, text: t('rotation.yes') },
  { value: false, text: t('rotation.no') },
]
const NOISE = [
  { value: 'normal', text: t('rotation.normal') },
  { value: 'loud', text: t('rotation.loud') },
]
</script>

<template>
  <div v-if="rotary" class="compressor">
    <ChoiceField v-model="moved" :label="`${load.name}: ${t('rotation.pressures')}`" :options="MOVED" :problem="problemOf(path('pressure_moved'))" />
    <div class="pair">
      <ChoiceField v-model="noise" :label="`${load.name} ${t('rotation.noise').toLowerCase()}`" :options="NOISE" :problem="problemOf(path('noise'))" stacked />
      <FigureField v-model="amps" check="power.rotation" :path="path('amps')" compact :label="`${load.name} ${t('rotation.amps').toLowerCase()}${load.plate_amps ? `, plate ${load.plate_amps}` : ''}`" :problem="problemOf(path('amps'))" />
    </div>
    <FigureField v-if="asksHours" v-model="hours" check="power.rotation" :path="path('hours_backwards')" :label="`${load.name} ${t('rotation.ran').toLowerCase()}`" :problem="problemOf(path('hours_backwards'))" />
  </div>
  <ChoiceField v-else v-model="observed" :label="load.name" :help="t('rotation.wheel')" :options="TURNS" :problem="problemOf(path('observed'))" />
</template>

<style scoped>
.compressor {
  padding-bottom: 2px;
}
.compressor :deep(.choice) {
  border-bottom: 0;
}
.pair {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 16px;
  padding-bottom: 6px;
  border-bottom: 1px solid var(--rule);
}
.pair :deep(legend) {
  font-size: 14.5px;
  color: var(--iron-soft);
}
</style>
