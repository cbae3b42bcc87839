<script setup lang="ts">
import { ElMessage } from 'element-plus'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { CheckView, Schemas } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import { post } from '@/lib/post'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

/** Figures that were typed because the sheet says nothing of them: they can go into its next version. */
type Part = {
  check: string
  subject: string
  input: Record<string, unknown>
  prefill: Record<string, unknown>
}
const props = defineProps<{ parts: Part[]; views: CheckView[] }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const open = ref(false)
const sheet = computed(() => machine.view?.sheet ?? null)
const lacking = computed(() =>
  props.parts.flatMap((part, i) => {
    const fields = props.views[i]?.fields ?? []
    const names = fields.filter(
      (field) =>
        field.sheet && part.input[field.name] !== undefined && part.prefill[field.name] === undefined,
    )
    return names.length === 0 ? [] : [{ part, names }]
  }),
)

async function save() {
  for (const { part } of lacking.value) {
    const kept = await post<Schemas['SheetView']>(`machines/${machine.view?.id}/sheet`, {
      check: part.check,
      subject: part.subject,
      input: part.input,
    })
    const version = Math.max(...kept.versions.map((one) => one.version))
    ElMessage({ message: t('sheetAdd.saved', { version }), duration: 4000, grouping: true })
  }
}
</script>

<template>
  <template v-if="sheet && lacking.length > 0 && session.may('office')">
    <button type="button" class="press small" @click="open = true">{{ t('sheetAdd.open') }}</button>
    <AskDialog
      v-model="open"
      :title="t('sheetAdd.title', { model: sheet.model })"
      :submit="t('shelf.keep')"
      :incomplete="false"
      :send="save"
      forge
    >
      <ul>
        <template v-for="{ part, names } in lacking" :key="part.check">
          <li v-for="field in names" :key="field.name">{{ field.label }}</li>
        </template>
      </ul>
      <p>{{ t('sheetAdd.what', { version: sheet.version }) }}</p>
    </AskDialog>
  </template>
</template>

<style scoped>
ul {
  padding-left: 20px;
  list-style: square;
}
</style>
