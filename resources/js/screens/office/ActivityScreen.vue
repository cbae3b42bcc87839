<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { clock, day } from '@/lib/time'
import OfficeFrame from './OfficeFrame.vue'

/** Who changed what in the office, newest first. */
const { t, te } = useI18n()
const { problem, attempt, fetched } = useAttempt()
const done = ref<Schemas['ActivityView'][]>([])
const PAGE = 100
const more = ref(false)

async function load(before?: number) {
  const page = await answer(
    api.GET('/api/v1/activity', { params: { query: before === undefined ? {} : { before } } }),
  )
  done.value = [...done.value, ...page.done]
  more.value = page.done.length === PAGE
}
onMounted(() => fetched(() => load()))
const words = (what: string) => (te(`activity.${what}`) ? t(`activity.${what}` as 'activity.role') : what)
</script>

<template>
  <OfficeFrame :title="t('office.pages.activity')">
    <BothSides v-if="problem" :problem="problem" />
    <p v-if="done.length === 0">{{ t('office.nothingDone') }}</p>
    <table v-else>
      <tbody>
        <tr v-for="one in done" :key="one.id">
          <td>{{ day(one.at) }} {{ clock(one.at) }}</td>
          <td>{{ one.who }}</td>
          <td>{{ words(one.what) }}</td>
          <td>{{ one.about }}</td>
        </tr>
      </tbody>
    </table>
    <button v-if="more" type="button" class="press small" @click="attempt(() => load(done.at(-1)?.id))">
      {{ t('office.more') }}
    </button>
  </OfficeFrame>
</template>
