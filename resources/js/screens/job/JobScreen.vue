<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import UnitRow from '@/components/UnitRow.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { date } from '@/lib/time'
import { useSession } from '@/stores/session'
import BringList from './BringList.vue'
import HoursTable from './HoursTable.vue'

/** One job whole: what holds each unit, hours by question, what goes on the van and comes home, what failed elsewhere. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const session = useSession()
const { problem, busy, attempt, fetched } = useAttempt()
const job = ref<Schemas['JobBoardView'] | null>(null)

onMounted(() =>
  fetched(async () => {
    job.value = await answer(api.GET('/api/v1/jobs/{job}', { params: { path: { job: props.id } } }))
  }),
)
const items = computed(
  () => job.value?.machines.flatMap((one) => one.items.map((what) => ({ machine: one.name, what }))) ?? [],
)
const tick = (item: string, state: string) =>
  attempt(async () => {
    job.value = await post<Schemas['JobBoardView']>(`jobs/${props.id}/bring`, { item, state })
  })
</script>

<template>
  <div class="whole">
    <BothSides v-if="problem" :problem="problem" />
    <template v-if="job">
      <header>
        <div>
          <h1>{{ job.site }}</h1>
          <p class="caption">
            {{ job.title }} · {{ t(`office.types.${job.type as 'vrf'}`) }} · {{ date(job.startsOn) }} –
            {{ date(job.endsOn) }} · {{ job.people.join(', ') || t('today.nobody') }}
          </p>
        </div>
        <span class="acts">
          <RouterLink
            v-if="session.may('office')"
            class="press small"
            :to="{ name: 'office-site', params: { id: job.siteId } }"
            >{{ t('office.site') }}</RouterLink
          >
          <a class="press small" :href="`/api/v1/jobs/${job.id}/job.zip`" download>{{ t('jobs.file') }}</a>
        </span>
      </header>
      <section>
        <UnitRow v-for="machine in job.machines" :key="machine.id" :machine="machine">
          <span class="told">
            <small v-if="machine.signedAt">{{
              t('jobs.signed', { day: date(machine.signedAt.slice(0, 10)) })
            }}</small>
            <small v-if="machine.items.length > 0">{{
              t('jobs.items', { count: machine.items.length })
            }}</small>
            <small v-if="machine.out > 0">{{ t('jobs.out', { count: machine.out }) }}</small>
          </span>
        </UnitRow>
        <p v-if="job.machines.length === 0">{{ t('jobs.noUnits') }}</p>
      </section>
      <div class="two">
        <BringList :items="job.bring" :busy="busy || !session.may('bring')" @tick="tick" />
        <section>
          <HoursTable :machines="job.machines" />
          <template v-if="items.length > 0">
            <h2>{{ t('jobs.openItems') }}</h2>
            <ul>
              <li v-for="item in items" :key="item.machine + item.what">
                <b>{{ item.machine }}</b> {{ item.what }}
              </li>
            </ul>
          </template>
          <template v-if="job.same.length > 0">
            <h2>{{ t('jobs.same') }}</h2>
            <ul>
              <li v-for="one in job.same" :key="one.day + one.site + one.machine + one.part">
                <b>{{ one.part }}</b> {{ one.how }}
                <small>{{ one.model }}, {{ one.machine }}, {{ one.site }}, {{ date(one.day) }}</small>
              </li>
            </ul>
          </template>
          <template v-if="job.van.length > 0">
            <h2>{{ t('jobs.van') }}</h2>
            <ul>
              <li v-for="(one, i) in job.van" :key="i">
                {{ one.count }} × {{ one.what }} <small>{{ one.machine }}, {{ one.where }}</small>
              </li>
            </ul>
          </template>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.whole {
  height: 100%;
  padding: 18px 26px 40px;
  overflow: auto;
  background: var(--paper);
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px 16px;
  padding-bottom: 8px;
  border-bottom: 2px solid var(--ink);
}
h1 {
  font-size: 34px;
}
.whole :deep(h2) {
  margin-top: 18px;
  font-size: 24px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 34px;
}
li {
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
small {
  display: block;
  font-size: 14px;
  color: var(--iron-soft);
}
@media (max-width: 900px) {
  .whole {
    padding: 12px 14px 40px;
  }
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
