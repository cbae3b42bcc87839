<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { clock, day } from '@/lib/time'
import OfficeFrame from './OfficeFrame.vue'

/** What starters have signed and no lead has yet, the longest first. */
const { t } = useI18n()
const { problem, fetched } = useAttempt()
const waiting = ref<Schemas['ReviewView'][] | null>(null)
onMounted(() => fetched(async () => (waiting.value = (await answer(api.GET('/api/v1/review'))).waiting)))
</script>

<template>
  <OfficeFrame :title="t('office.pages.review')">
    <BothSides v-if="problem" :problem="problem" />
    <p v-if="waiting?.length === 0">{{ t('office.nothingWaits') }}</p>
    <table v-else-if="waiting">
      <tbody>
        <tr v-for="one in waiting" :key="one.machineId">
          <td>
            <b>{{ one.machine }}</b><small>{{ one.site }}</small>
          </td>
          <td>
            {{ t('office.signedBy', { who: one.starter }) }}
            <small>{{ day(one.since) }} {{ clock(one.since) }}</small>
          </td>
          <td>
            {{ one.sentence }}
            <small v-for="note in one.notes" :key="note" class="note">{{ note }}</small>
          </td>
          <td>{{ one.reviewed ? t('entries.reviewed') : '' }}</td>
          <td class="acts">
            <RouterLink class="press small" :to="{ name: 'record', params: { id: one.machineId } }">{{
              t('machine.record')
            }}</RouterLink>
            <RouterLink class="press small forge" :to="{ name: 'machine', params: { id: one.machineId } }">{{
              t('office.toSign')
            }}</RouterLink>
          </td>
        </tr>
      </tbody>
    </table>
  </OfficeFrame>
</template>

<style scoped>
b {
  font: 600 22px/1.1 var(--figures);
}
small {
  display: block;
  color: var(--iron-soft);
  font-size: 14px;
}
.note {
  padding-left: 8px;
  border-left: 4px solid var(--watch);
}
.press {
  display: inline-grid;
  place-items: center;
  text-decoration: none;
}
</style>
