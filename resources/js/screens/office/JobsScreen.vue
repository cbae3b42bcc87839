<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import UnitRow from '@/components/UnitRow.vue'
import { useAttempt } from '@/composables/useAttempt'
import { date } from '@/lib/time'
import OfficeFrame from './OfficeFrame.vue'

/** Every job with its units: what holds each, and what is finished. */
const { t } = useI18n()
const { problem, busy, attempt, fetched } = useAttempt()
const STATES = ['open', 'finished'] as const
const state = ref<(typeof STATES)[number]>('open')
const jobs = ref<Schemas['JobRowView'][]>([])
const next = ref<number | null>(null)

async function load(more: boolean) {
  const asked = state.value
  const query = { state: asked, ...(more && next.value !== null && { before: next.value }) }
  const page = await answer(api.GET('/api/v1/jobs', { params: { query } }))
  if (asked !== state.value) return
  jobs.value = more ? [...jobs.value, ...page.jobs] : page.jobs
  next.value = page.next
}
onMounted(() => fetched(() => load(false)))
watch(state, () => fetched(() => load(false)))
</script>

<template>
  <OfficeFrame :title="t('office.pages.jobs')">
    <template #head>
      <span class="acts" role="group" :aria-label="t('jobs.which')">
        <button
          v-for="one in STATES"
          :key="one"
          type="button"
          class="press small"
          :class="{ on: state === one }"
          :aria-pressed="state === one"
          @click="state = one"
        >
          {{ t(`jobs.${one}`) }}
        </button>
      </span>
    </template>
    <BothSides v-if="problem" :problem="problem" />
    <p v-if="jobs.length === 0 && !busy">{{ t(state === 'open' ? 'jobs.noneOpen' : 'jobs.noneFinished') }}</p>
    <section v-for="job in jobs" :key="job.id">
      <header>
        <h2>
          <RouterLink :to="{ name: 'job', params: { id: job.id } }">{{ job.site }}</RouterLink>
        </h2>
        <p class="caption">
          {{ job.title }} · {{ date(job.startsOn) }} – {{ date(job.endsOn) }} ·
          {{ t('jobs.done', { done: job.done, count: job.machines.length }) }}
        </p>
        <span v-if="state === 'finished'" class="acts">
          <a class="press small" :href="`/api/v1/jobs/${job.id}/job.zip`" download>{{ t('jobs.file') }}</a>
        </span>
      </header>
      <UnitRow v-for="machine in job.machines" :key="machine.id" :machine="machine">
        <span class="people">{{ job.people.map((name) => name.split(' ')[0]).join(', ') }}</span>
      </UnitRow>
    </section>
    <button v-if="next !== null" type="button" class="press small" @click="attempt(() => load(true))">
      {{ t('office.more') }}
    </button>
  </OfficeFrame>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 4px 14px;
  padding-bottom: 4px;
  border-bottom: 1px solid var(--ink);
}
.on {
  background: var(--ink);
  color: var(--paper);
}
.people {
  font-size: 15px;
}
@media (max-width: 900px) {
  .people {
    display: none;
  }
}
</style>
