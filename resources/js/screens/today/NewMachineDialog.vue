<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import MachineForm from '@/screens/office/MachineForm.vue'

/** A machine that nobody told of yet, from the plate in front of one. */
const job = defineModel<number | null>({ required: true })
const emit = defineEmits<{ made: [] }>()
const { t } = useI18n()
const router = useRouter()
const { problem, busy, attempt, fetched } = useAttempt()
const sheets = ref<Schemas['SheetRowView'][]>([])
const open = computed({ get: () => job.value !== null, set: (on) => (job.value = on ? job.value : null) })
watch(open, (on) => {
  if (on) void fetched(async () => (sheets.value = (await answer(api.GET('/api/v1/sheets'))).sheets))
})
const make = (given: Record<string, unknown>) =>
  attempt(async () => {
    const made = await post<Schemas['DeskMachineView']>(`jobs/${job.value}/machines`, given)
    job.value = null
    emit('made')
    await router.push({ name: 'machine', params: { id: made.id } })
  })
</script>

<template>
  <ElDialog v-model="open" :title="t('office.newMachine')" width="min(560px, 96vw)">
    <MachineForm v-if="open" class="form" :sheets="sheets" :busy="busy" @send="make" />
    <BothSides v-if="problem" :problem="problem" />
  </ElDialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  align-items: end;
}
.form :deep(label) {
  display: grid;
  gap: 3px;
  font-size: 14.5px;
  color: var(--iron-soft);
}
.form :deep(input),
.form :deep(select) {
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  color: var(--ink);
  font-size: 16px;
}
</style>
