<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { freshMotor, spoken, type TypedSheet } from './sheet'

/** The plate in boxes. What has no box here stays as the file had it. */
const typed = defineModel<TypedSheet>({ required: true })
defineProps<{ busy: boolean; named: boolean }>()
defineEmits<{ send: [] }>()
const { t } = useI18n()
const KINDS = [
  'rooftop',
  'condensing',
  'vrf_outdoor',
  'vrf_indoor',
  'branch_box',
  'air_handler',
  'furnace',
  'coil',
]
const MOTORS = ['scroll', 'screw', 'reciprocating', 'blower', 'condenser_fan', 'pump']
const DRIVES = ['across_line', 'soft_starter', 'part_winding', 'inverter', 'ecm', 'single_phase']
const METERING = ['', 'txv', 'eev', 'fixed']
const PLATE = [
  'plate_voltage',
  'mca',
  'mocp',
  'terminal_rating',
  'taps',
  'secondary_nominal',
  'registration_days',
] as const
const first = ref<HTMLInputElement | null>(null)
onMounted(() => first.value?.focus())
</script>

<template>
  <form @submit.prevent="$emit('send')">
    <div class="row">
      <label
        >{{ t('shelf.model')
        }}<input ref="first" v-model="typed.model" maxlength="120" required :readonly="named"
      /></label>
      <label>{{ t('shelf.maker') }}<input v-model="typed.maker" maxlength="120" /></label>
      <label
        >{{ t('shelf.kind')
        }}<select v-model="typed.kind">
          <option v-for="one in KINDS" :key="one" :value="one">{{ spoken(one) }}</option>
        </select></label
      >
    </div>
    <fieldset>
      <legend>{{ t('shelf.plate') }}</legend>
      <div class="row">
        <label v-for="one in PLATE" :key="one">{{ t(`shelf.${one}`) }}<input v-model="typed[one]" /></label>
      </div>
    </fieldset>
    <fieldset>
      <legend>{{ t('shelf.motors') }}</legend>
      <div v-for="(motor, i) in typed.motors" :key="i" class="row">
        <label>{{ t('people.name') }}<input v-model="motor.name" /></label>
        <label
          >{{ t('shelf.kind')
          }}<select v-model="motor.kind">
            <option v-for="one in MOTORS" :key="one" :value="one">{{ spoken(one) }}</option>
          </select></label
        >
        <label
          >{{ t('shelf.drive')
          }}<select v-model="motor.drive">
            <option v-for="one in DRIVES" :key="one" :value="one">{{ spoken(one) }}</option>
          </select></label
        >
        <label>{{ t('shelf.amps') }}<input v-model="motor.amps" /></label>
        <label>{{ t('shelf.lra') }}<input v-model="motor.locked_rotor_amps" /></label>
        <label>{{ t('shelf.quantity') }}<input v-model="motor.quantity" inputmode="numeric" /></label>
      </div>
      <button type="button" class="press small" @click="typed.motors.push(freshMotor())">
        {{ t('shelf.addMotor') }}
      </button>
    </fieldset>
    <fieldset>
      <legend>{{ t('shelf.circuits') }}</legend>
      <div v-for="(circuit, i) in typed.circuits" :key="i" class="row">
        <label>{{ t('people.name') }}<input v-model="circuit.name" /></label>
        <label>{{ t('shelf.refrigerant') }}<input v-model="circuit.refrigerant" /></label>
        <label
          >{{ t('shelf.metering')
          }}<select v-model="circuit.metering">
            <option v-if="!METERING.includes(circuit.metering)" :value="circuit.metering">
              {{ spoken(circuit.metering) }}
            </option>
            <option v-for="one in METERING" :key="one" :value="one">{{ spoken(one) }}</option>
          </select></label
        >
        <label>{{ t('shelf.compressors') }}<input v-model="circuit.compressors" /></label>
        <label>{{ t('shelf.charge') }}<input v-model="circuit.charge" /></label>
      </div>
      <button
        type="button"
        class="press small"
        @click="typed.circuits.push({ name: '', refrigerant: '', metering: '', compressors: '', charge: '' })"
      >
        {{ t('shelf.addCircuit') }}
      </button>
    </fieldset>
    <button type="submit" class="press forge" :disabled="busy || typed.model.trim() === ''">
      {{ t('shelf.keep') }}
    </button>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 14px;
  justify-items: start;
}
fieldset {
  display: grid;
  gap: 10px;
  justify-items: start;
  width: 100%;
  margin: 0;
  padding: 8px 14px 12px;
  border: 1px solid var(--rule);
}
legend {
  padding: 0 6px;
  font: 600 20px/1.2 var(--figures);
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  width: 100%;
}
label {
  display: grid;
  gap: 3px;
  font-size: 14.5px;
  color: var(--iron-soft);
}
input,
select {
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  color: var(--ink);
  font-size: 16px;
}
input:read-only {
  background: var(--pan);
}
</style>
