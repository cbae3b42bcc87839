<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { date } from '@/lib/time'
import OfficeFrame from './OfficeFrame.vue'
import SiteForm from './SiteForm.vue'

/** All sites, a page at a time, and another one. */
const { t } = useI18n()
const router = useRouter()
const { problem, busy, attempt, fetched } = useAttempt()
const rows = ref<Schemas['SiteRowView'][]>([])
const next = ref('')
const query = ref('')
const making = ref(false)
const PAUSE_MS = 150

async function load(more: boolean) {
  const asked = query.value
  const page = await answer(
    api.GET('/api/v1/sites', { params: { query: { q: asked, after: more ? next.value : '' } } }),
  )
  if (asked !== query.value) return
  rows.value = more ? [...rows.value, ...page.sites] : page.sites
  next.value = page.next
}
onMounted(() => fetched(() => load(false)))
const soon = useDebounceFn(() => fetched(() => load(false)), PAUSE_MS)
watch(query, () => void soon())

async function make(site: Record<string, unknown>) {
  await attempt(async () => {
    const made = await post<Schemas['SiteView']>('sites', site)
    await router.push({ name: 'office-site', params: { id: made.id } })
  })
}
</script>

<template>
  <OfficeFrame :title="t('office.pages.sites')">
    <template #head>
      <span class="acts">
        <button type="button" class="press small forge" @click="making = !making">
          {{ t('office.newSite') }}
        </button>
      </span>
    </template>
    <SiteForm v-if="making" :busy="busy" @send="make" />
    <BothSides v-if="problem" :problem="problem" />
    <input v-model="query" type="search" :placeholder="t('office.find')" :aria-label="t('office.find')" />
    <table>
      <thead>
        <tr>
          <th>{{ t('office.site') }}</th>
          <th>{{ t('office.address') }}</th>
          <th>{{ t('office.jobs') }}</th>
          <th>{{ t('office.until') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td>
            <RouterLink :to="{ name: 'office-site', params: { id: row.id } }">{{ row.name }}</RouterLink>
          </td>
          <td>{{ row.address }}</td>
          <td>{{ row.jobs }}</td>
          <td>{{ row.until ? date(row.until) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0 && !busy">{{ t('office.noSites') }}</p>
    <button v-if="next" type="button" class="press small" @click="attempt(() => load(true))">
      {{ t('office.more') }}
    </button>
  </OfficeFrame>
</template>
