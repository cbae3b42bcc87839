<script setup lang="ts">
import { computed, ref } from 'vue'
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
/** The columns of a table; those without which a row is nothing come first. */
const COLUMNS = {
  sites: [
    'name',
    'address',
    'altitude',
    'hospital',
    'roof_hatch_key',
    'gas_shut_off',
    'emergency_switch',
    'contact',
    'access',
  ],
  machines: ['site', 'job', 'type', 'machine', 'place', 'serial', 'summary', 'model'],
} as const
const SAMPLES = {
  sites: [
    'Weir Pump House,2 Weir Road,1017 ft,"Weir General, 12 min",with the caretaker,north wall,beside the door,"R. Olm, 555-0142",ladder on the east side',
  ],
  machines: [
    'Weir Pump House,Replace the office units,rooftop,RTU-1,south roof,BF150-30001,"12.5 ton, 460 V",BF-150G',
    'Weir Pump House,Replace the office units,rooftop,RTU-2,north roof,BF150-30002,"12.5 ton, 460 V",BF-150G',
  ],
}
const sample = computed(
  () =>
    `data:text/csv;charset=utf-8,${encodeURIComponent([COLUMNS[table.value].join(','), ...SAMPLES[table.value], ''].join('\r\n'))}`,
)
const over = ref(false)

function drop(event: DragEvent) {
  over.value = false
  const dropped = event.dataTransfer?.files[0]
  if (dropped === undefined) return
  file.value = dropped
  void look()
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
      <button type="submit" class="press small forge" :disabled="busy || seen === null || seen.wrong > 0">
        {{ seen ? t('import.bring', { count: seen.rows }) : t('import.bringNone') }}
      </button>
    </form>
    <div
      class="drop"
      :class="{ over }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="drop"
    >
      <p>
        <b>{{ file === null ? t('import.drop') : file.name }}</b>
      </p>
      <label class="press small"
        >{{ t('import.file') }}<input type="file" accept=".csv,text/csv" class="sr-only" @change="look"
      /></label>
      <a class="press small" :href="sample" :download="`${table}-sample.csv`">{{ t('import.sample') }}</a>
    </div>
    <table class="columns">
      <caption>
        {{
          t('import.columns')
        }}
      </caption>
      <tbody>
        <tr v-for="column in COLUMNS[table]" :key="column">
          <td>
            <code>{{ column }}</code>
          </td>
          <td>{{ t(`import.column.${table}.${column as 'site'}`) }}</td>
        </tr>
      </tbody>
    </table>
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
        <a class="press small" href="/api/v1/export/refrigerant.csv" download>{{
          t('record.refrigerant')
        }}</a>
      </p>
    </section>
  </OfficeFrame>
</template>

<style scoped>
.wrong {
  color: var(--stop);
}
.drop {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  padding: 22px 18px;
  border: 2px dashed var(--iron-soft);
  background: var(--box);
}
.drop p {
  flex: 1;
  min-width: 220px;
  font-size: 18px;
}
.drop.over {
  border-color: var(--forge);
}
.drop label.press {
  display: inline-grid;
  place-items: center;
}
.drop label:focus-within {
  outline: 3px solid var(--forge);
}
.columns caption {
  padding-bottom: 4px;
  text-align: left;
  color: var(--iron-soft);
}
.columns td {
  padding: 4px 20px 4px 0;
}
a.press {
  display: inline-grid;
  place-items: center;
  text-decoration: none;
}
</style>
