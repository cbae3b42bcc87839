<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import ChoiceField from '@/components/ChoiceField.vue'
import FigureField from '../common/FigureField.vue'
import { isRotary, type SeenLoad, type SheetLoad } from './rotation'

/** One load: a wheel against its arrow, or a sealed compressor by its pressures, noise and amps. */
const props = defineProps<{
  load: SheetLoad
  index: number
  asksHours: boolean
  problemOf: (path: string) => string
}>()
const model = defineModel<SeenLoad | undefined>({ required: true })
const { t } = useI18n()
const rotary = computed(() => isRotary(props.load))
const path = (member: string) => `loads.${props.index}.${member}`

function field<K extends keyof SeenLoad>(name: K) {
  return computed({
    get: () => model.value?.[name],
    set: (value) => (model.value = { ...model.value, [name]: value }),
  })
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
  <div v-if="rotary" class="compressor" role="group" :aria-label="load.name">
    <div class="row">
      <ChoiceField
        v-model="moved"
        :label="`${load.name}: ${t('rotation.pressures')}`"
        :options="MOVED"
        stacked
      />
      <ChoiceField v-model="noise" :label="t('rotation.noise')" :options="NOISE" stacked />
      <FigureField
        v-model="amps"
        check="power.rotation"
        :path="path('amps')"
        compact
        :label="load.plate_amps ? t('rotation.ampsOf', { plate: load.plate_amps }) : t('rotation.amps')"
      />
    </div>
    <p
      v-for="member in ['pressure_moved', 'noise', 'amps']"
      v-show="problemOf(path(member))"
      :key="member"
      class="problem"
      role="alert"
    >
      {{ problemOf(path(member)) }}
    </p>
    <FigureField
      v-if="asksHours"
      v-model="hours"
      check="power.rotation"
      :path="path('hours_backwards')"
      :label="`${load.name} ${t('rotation.ran').toLowerCase()}`"
      :problem="problemOf(path('hours_backwards'))"
    />
  </div>
  <ChoiceField
    v-else
    v-model="observed"
    :label="load.name"
    :help="t('rotation.wheel')"
    :options="TURNS"
    :problem="problemOf(path('observed'))"
  />
</template>

<style scoped>
.compressor {
  padding: 4px 0 6px;
  border-bottom: 1px solid var(--rule);
}
.row {
  display: grid;
  grid-template-columns: auto auto minmax(76px, 1fr);
  align-items: end;
  gap: 10px;
}
.row :deep(.choice) {
  padding: 0;
  border: 0;
}
.row :deep(legend) {
  font-size: 14.5px;
  white-space: nowrap;
}
.row :deep(.options) {
  flex-wrap: nowrap;
}
.row :deep(.options label) {
  min-height: 50px;
  padding: 0 10px;
}
.row :deep(.box) {
  height: 50px;
}
.row :deep(.figure) {
  height: 46px;
  line-height: 46px;
}
.row :deep(.unit) {
  min-width: 20px;
}
.problem {
  font-size: 15px;
  color: var(--stop);
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: auto auto;
  }
}
</style>
