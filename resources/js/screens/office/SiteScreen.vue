<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { date } from '@/lib/time'
import { useSession } from '@/stores/session'
import FeedTree from '@/drawings/FeedTree.vue'
import JobForm from './JobForm.vue'
import MachineForm from './MachineForm.vue'
import OfficeFrame from './OfficeFrame.vue'
import SiteForm from './SiteForm.vue'

/** One site: what stands there, its jobs, their machines, and who is on them. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const session = useSession()
const { problem, busy, attempt, fetched } = useAttempt()
const site = ref<Schemas['SiteView'] | null>(null)
const people = ref<{ id: number; name: string }[]>([])
const sheets = ref<Schemas['SheetRowView'][]>([])
const open = ref<'' | 'site' | 'job' | `job-${number}` | `machine-${number}` | `change-${number}`>('')
const safety = computed(() => Object.entries((site.value?.safety ?? {}) as Record<string, string>))
const machineForm = ref<InstanceType<typeof MachineForm>[]>([])

async function load() {
  const path = { site: props.id }
  const [one, everybody, shelf] = await Promise.all([
    answer(api.GET('/api/v1/sites/{site}', { params: { path } })),
    answer(api.GET('/api/v1/people')),
    answer(api.GET('/api/v1/sheets')),
  ])
  site.value = one
  people.value = everybody.people.filter((p) => p.active && p.role !== 'office')
  sheets.value = shelf.sheets
  if (one.jobs.length === 0) open.value = 'job'
}
onMounted(() => fetched(load))

async function keepSite(given: Record<string, unknown>) {
  await attempt(async () => {
    site.value = await post<Schemas['SiteView']>(`sites/${props.id}`, {
      ...given,
      version: site.value?.version,
    })
    open.value = ''
  })
}

async function keepJob(job: Schemas['DeskJobView'] | null, given: Record<string, unknown>) {
  await attempt(async () => {
    const path = job === null ? `sites/${props.id}/jobs` : `jobs/${job.id}`
    const before = new Set(site.value?.jobs.map((one) => one.id))
    site.value = await post<Schemas['SiteView']>(path, { ...given, ...(job && { version: job.version }) })
    const made = site.value.jobs.find((one) => !before.has(one.id))
    open.value = made === undefined ? '' : `machine-${made.id}`
  })
}

async function keepMachine(
  job: number,
  machine: Schemas['DeskMachineView'] | null,
  given: Record<string, unknown>,
) {
  const kept = await attempt(async () => {
    const path = machine === null ? `jobs/${job}/machines` : `machines/${machine.id}/plate`
    await post(path, { ...given, ...(machine && { version: machine.version }) })
    const fresh = await answer(api.GET('/api/v1/sites/{site}', { params: { path: { site: props.id } } }))
    site.value = fresh
    if (machine !== null) open.value = ''
  })
  // On to the next one of the same kind.
  if (kept && machine === null) await nextTick(() => machineForm.value[0]?.again())
}

function toggle(what: typeof open.value) {
  open.value = open.value === what ? '' : what
}
</script>

<template>
  <OfficeFrame :title="site?.name ?? ''">
    <template v-if="site" #head>
      <span class="acts">
        <button type="button" class="press small" @click="toggle('site')">{{ t('office.change') }}</button>
        <button type="button" class="press small forge" @click="toggle('job')">
          {{ t('office.newJob') }}
        </button>
      </span>
    </template>
    <BothSides v-if="problem" :problem="problem" />
    <template v-if="site">
      <SiteForm v-if="open === 'site'" :site="site" :busy="busy" @send="keepSite" />
      <div v-else class="stands">
        <p>{{ site.address }}</p>
        <p>
          {{
            t('office.at', { feet: Math.round(site.altitude / 0.3048), metres: Math.round(site.altitude) })
          }}
        </p>
        <dl v-if="safety.length > 0">
          <template v-for="[what, words] in safety" :key="what">
            <dt>{{ t(`office.safety.${what as 'hospital'}`) }}</dt>
            <dd>{{ words }}</dd>
          </template>
        </dl>
      </div>
      <section v-if="open === 'job'">
        <h2>{{ t('office.newJob') }}</h2>
        <JobForm :people="people" :busy="busy" @send="keepJob(null, $event)" />
      </section>
      <section v-if="site.feeds.length > 0" class="feeds">
        <h2>{{ t('feedMap.title') }}</h2>
        <FeedTree
          v-for="feed in site.feeds"
          :key="feed.panel"
          :panel="feed.panel"
          :breaker="feed.breaker"
          :hung="feed.units.map((unit) => ({ ...unit, id: unit.machineId, own: false }))"
        />
      </section>
      <section v-for="job in site.jobs" :key="job.id" class="job">
        <header>
          <div>
            <h2>{{ job.title }}</h2>
            <p class="caption">
              {{ t(`office.types.${job.type as 'vrf'}`)
              }}<template v-if="job.startUpOnly">, {{ t('office.startUpOnly') }}</template> ·
              {{ date(job.startsOn) }} – {{ date(job.endsOn) }} ·
              {{ job.people.join(', ') || t('today.nobody') }}
            </p>
          </div>
          <span class="acts">
            <button type="button" class="press small" @click="toggle(`job-${job.id}`)">
              {{ t('office.change') }}
            </button>
            <button
              v-if="session.may('machines')"
              type="button"
              class="press small"
              @click="toggle(`machine-${job.id}`)"
            >
              {{ t('office.newMachine') }}
            </button>
          </span>
        </header>
        <JobForm
          v-if="open === `job-${job.id}`"
          :job="job"
          :people="people"
          :busy="busy"
          @send="keepJob(job, $event)"
        />
        <table v-if="job.machines.length > 0">
          <tbody>
            <template v-for="machine in job.machines" :key="machine.id">
              <tr>
                <td>
                  <RouterLink :to="{ name: 'machine', params: { id: machine.id } }">{{
                    machine.name
                  }}</RouterLink>
                </td>
                <td>{{ machine.model }}</td>
                <td>{{ machine.serial }}</td>
                <td>{{ machine.place }}</td>
                <td>{{ machine.begun ? t('office.begun') : '' }}</td>
                <td class="end">
                  <button type="button" class="press small" @click="toggle(`change-${machine.id}`)">
                    {{ t('office.change') }}
                  </button>
                </td>
              </tr>
              <tr v-if="open === `change-${machine.id}`">
                <td colspan="6">
                  <MachineForm
                    :machine="machine"
                    :sheets="sheets"
                    :busy="busy"
                    @send="keepMachine(job.id, machine, $event)"
                  />
                </td>
              </tr>
            </template>
          </tbody>
        </table>
        <MachineForm
          v-if="open === `machine-${job.id}`"
          ref="machineForm"
          :sheets="sheets"
          :busy="busy"
          @send="keepMachine(job.id, null, $event)"
        />
      </section>
    </template>
  </OfficeFrame>
</template>

<style scoped>
.feeds {
  display: grid;
  gap: 14px;
  max-width: 460px;
}
.stands {
  display: grid;
  gap: 4px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 18px;
  margin-top: 8px;
  padding: 10px 14px;
  background: var(--pan);
}
dt {
  font-weight: 600;
}
.job {
  display: grid;
  gap: 10px;
  padding-top: 12px;
  border-top: 2px solid var(--ink);
}
.job > header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 16px;
}
.end {
  text-align: right;
}
</style>
