<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { date } from '@/lib/time'
import { useSession } from '@/stores/session'
import { spoken } from './sheet'
import ShelfTabs from './ShelfTabs.vue'

/** The equipment sheets: typed once, or brought as a file. */
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const { problem, attempt, fetched } = useAttempt()
const rows = ref<Schemas['SheetRowView'][] | null>(null)
onMounted(() => fetched(async () => (rows.value = (await answer(api.GET('/api/v1/sheets'))).sheets)))

async function bring(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file === undefined) return
  await attempt(async () => {
    const kept = await post<Schemas['SheetView']>('sheets', await file.text())
    await router.push({ name: 'sheet', params: { id: kept.id } })
  })
}
</script>

<template>
  <div class="shelf">
    <ShelfTabs />
    <header>
      <h1>{{ t('shelf.sheets') }}</h1>
      <span v-if="session.may('office')" class="acts">
        <label class="press small"
          >{{ t('shelf.bring')
          }}<input type="file" accept="application/json,.json" class="sr-only" @change="bring"
        /></label>
        <RouterLink class="press small forge" :to="{ name: 'sheet-new' }">{{ t('shelf.new') }}</RouterLink>
      </span>
    </header>
    <BothSides v-if="problem" :problem="problem" />
    <p v-if="rows?.length === 0">{{ t('shelf.none') }}</p>
    <table v-else-if="rows">
      <tbody>
        <tr v-for="one in rows" :key="one.id">
          <td class="model">
            <RouterLink :to="{ name: 'sheet', params: { id: one.id } }">{{ one.model }}</RouterLink>
          </td>
          <td>{{ one.maker }}</td>
          <td>{{ spoken(one.kind) }}</td>
          <td>{{ t('shelf.version', { version: one.version }) }}</td>
          <td>{{ date(one.at.slice(0, 10)) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  align-content: start;
  gap: 16px;
  max-width: 1080px;
  height: 100%;
  margin: 0 auto;
  padding: 20px 24px;
  overflow: auto;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 12px;
}
h1 {
  font-size: 34px;
}
.acts {
  display: flex;
  gap: 8px;
}
.press {
  display: inline-grid;
  place-items: center;
  text-decoration: none;
  cursor: pointer;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 10px 14px 10px 0;
  border-bottom: 1px solid var(--rule);
}
.model {
  font: 600 22px/1.2 var(--figures);
}
</style>
