<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** A machine, from the plate in front of one. */
const props = defineProps<{
  machine?: Schemas['DeskMachineView']
  sheets: Schemas['SheetRowView'][]
  busy: boolean
}>()
const emit = defineEmits<{ send: [machine: Record<string, unknown>] }>()
const { t } = useI18n()
const of = (machine?: Schemas['DeskMachineView']) => ({
  name: machine?.name ?? '',
  serial: machine?.serial ?? '',
  place: machine?.place ?? '',
  summary: machine?.summary ?? '',
  history: machine?.history ?? '',
  sheet: machine?.sheet ?? null,
})
const typed = ref(of(props.machine))
const first = ref<HTMLInputElement | null>(null)
onMounted(() => first.value?.focus())

/** For the next one: the same sheet and place, another name. */
function again() {
  typed.value = { ...typed.value, name: '', serial: '' }
  first.value?.focus()
}
defineExpose({ again })
</script>

<template>
  <form @submit.prevent="emit('send', typed)">
    <label>{{ t('office.machine') }}<input ref="first" v-model="typed.name" maxlength="60" required /></label>
    <label
      >{{ t('office.sheet')
      }}<select v-model="typed.sheet">
        <option :value="null">{{ t('office.noSheet') }}</option>
        <option
          v-if="machine?.sheet && !sheets.some((s) => s.versionId === machine?.sheet)"
          :value="machine.sheet"
        >
          {{ machine.model }}
        </option>
        <option v-for="one in sheets" :key="one.id" :value="one.versionId">{{ one.model }}</option>
      </select></label
    >
    <label>{{ t('instruments.serial') }}<input v-model="typed.serial" maxlength="60" /></label>
    <label>{{ t('office.place') }}<input v-model="typed.place" maxlength="120" /></label>
    <label>{{ t('office.summary') }}<input v-model="typed.summary" maxlength="160" /></label>
    <label v-if="machine" class="wide"
      >{{ t('machine.history') }}<textarea v-model="typed.history" rows="2" maxlength="2000"></textarea>
    </label>
    <button type="submit" class="press small" :disabled="busy || typed.name.trim() === ''">
      {{ t('office.keep') }}
    </button>
  </form>
</template>
