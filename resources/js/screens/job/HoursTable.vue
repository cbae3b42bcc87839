<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** How long each question of each unit took. */
const props = defineProps<{ machines: Schemas['JobMachineView'][] }>()
const { t } = useI18n()
const MINUTES = 60
const gates = computed(() => {
  const found = new Map(
    props.machines.flatMap((machine) => machine.hours.map((one) => [one.gate, one.name] as const)),
  )
  return [...found.entries()].sort(([a], [b]) => a - b)
})

/** 0:05, 2:40. */
const clock = (minutes: number) =>
  `${Math.floor(minutes / MINUTES)}:${String(minutes % MINUTES).padStart(2, '0')}`
function spent(machine: Schemas['JobMachineView'], gate: number): string {
  const found = machine.hours.find((one) => one.gate === gate)
  return found === undefined ? '' : clock(found.minutes)
}
const total = (machine: Schemas['JobMachineView']) =>
  clock(machine.hours.reduce((sum, one) => sum + one.minutes, 0))
</script>

<template>
  <template v-if="gates.length > 0">
    <h2>{{ t('jobs.hours') }}</h2>
    <div class="wide">
      <table>
        <thead>
          <tr>
            <th>{{ t('office.unit') }}</th>
            <th v-for="[gate, name] in gates" :key="gate">{{ name }}</th>
            <th>{{ t('jobs.all') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="machine in machines" :key="machine.id">
            <td>{{ machine.name }}</td>
            <td v-for="[gate] in gates" :key="gate">{{ spent(machine, gate) }}</td>
            <td>
              <b>{{ total(machine) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="caption">{{ t('jobs.hoursWhy') }}</p>
  </template>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th {
  text-align: left;
  font: 600 16px/1.2 var(--figures);
  color: var(--iron-soft);
}
td,
th {
  padding: 7px 14px 7px 0;
  border-bottom: 1px solid var(--rule);
}
td {
  font: 500 18px/1.2 var(--figures);
}
</style>
