<script setup lang="ts">
import { computed } from 'vue'
import ReadingField from '@/components/ReadingField.vue'
import { firstUnit, type Typed } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useSession } from '@/stores/session'

/** A reading of a check by its path: label, help, units and range come from the check's own description. */
const props = defineProps<{
  check: string
  path: string
  problem?: string
  compact?: boolean
  optional?: boolean
  label?: string
}>()
const typed = defineModel<Typed | undefined>({ required: true })
defineEmits<{ several: [figures: string[]] }>()
const checks = useChecks()
const session = useSession()
const field = computed(() => checks.field(props.check, props.path))
const units = computed(() => (field.value?.type === 'quantity' ? field.value.units : []))
const value = computed<Typed>({
  get: () =>
    typed.value ?? {
      text: '',
      unit: firstUnit(field.value?.kind ?? '', units.value, session.units, session.person?.fieldUnits ?? {}),
    },
  set: (next) => (typed.value = next),
})
</script>

<template>
  <ReadingField
    v-if="field"
    v-model="value"
    :label="label ?? field.label"
    :help="field.help"
    :kind="field.kind"
    :units="units"
    :problem="problem"
    :compact="compact"
    :optional="optional"
    @several="$emit('several', $event)"
  />
</template>
