<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import OfficeFrame from './OfficeFrame.vue'

/** Tables in and out. A file is looked at row by row; then all of it comes in, or nothing. */
const { t } = useI18n()
const { problem, busy, attempt } = useAttempt()
const table = ref<'sites' | 'machines'>('machines')
const file = ref<File | null>(null)
const seen = ref<Schemas['ImportView'] | null>(null)
const made = ref<number | null>(null)
const COLUMNS = {
  sites: 'name, address, altitude, hospital, roof_hatch_key, gas_shut_off, emergency_switch, contact, access',
  machines: 'site, job, type, machine, place, serial, summary, model',
}

async function look(event?: Event) {
  if (event !== undefined) file.value = (event.target as HTMLInputElement).files?.[0] ?? null
  seen.value = made.value = null
  const chosen = file.value
  if (chosen !== null)
    await attempt(
      async () => (seen.value = await post<Schemas['ImportView']>(`import/${table.value}/preview`, chosen)),
    )
}

async function bring() {
  const [chosen, looked] = [file.value, seen.value]
  if (chosen === null || looked === null) return
  await attempt(async () => {
    made.value = (
      await post<Schemas['ImportView']>(`import/${table.value}?digest=${looked.digest}`, chosen)
    ).made
    seen.value = null
  })
}
</script>

<template>
  <OfficeFrame :title="t('office.pages.import')">
    <form @submit.prevent="bring">
      <label
        >{{ t('import.what')
        }}<select v-model="table" @change="look()">
          <option value="sites">{{ t('office.pages.sites') }}</option>
          <option value="machines">{{ t('import.machines') }}</option>
        </select></label
      >
      <label>{{ t('import.file') }}<input type="file" accept=".csv,text/csv" @change="look" /></label>
      <button type="submit" class="press small forge" :disabled="busy || seen === null || seen.wrong > 0">
        {{ seen ? t('import.bring', { count: seen.rows }) : t('import.bringNone') }}
      </button>
    </form>
    <p class="caption">{{ t('import.columns') }} {{ COLUMNS[table] }}</p>
    <BothSides v-if="problem" :problem="problem" />
    <p v-if="made !== null" role="status">{{ t('import.made', { count: made }) }}</p>
    <template v-if="seen">
      <p role="status">
        <b>{{
          seen.wrong === 0
            ? t('import.allRight', { rows: seen.rows })
            : t('import.wrong', { wrong: seen.wrong, rows: seen.rows })
        }}</b>
      </p>
      <table>
        <tbody>
          <tr v-for="row in seen.shown" :key="row.line">
            <td>{{ t('import.line', { line: row.line }) }}</td>
            <td>{{ row.title }}</td>
            <td class="wrong">{{ row.problems.join(' ') }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <section>
      <h2>{{ t('import.out') }}</h2>
      <p class="acts">
        <a class="press small" href="/api/v1/export/sites.csv" download>{{ t('office.pages.sites') }}</a>
        <a class="press small" href="/api/v1/export/machines.csv" download>{{ t('import.machines') }}</a>
      </p>
    </section>
  </OfficeFrame>
</template>

<style scoped>
.wrong {
  color: var(--stop);
}
a.press {
  display: inline-grid;
  place-items: center;
  text-decoration: none;
}
</style>
