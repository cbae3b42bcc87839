<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type TodayView } from '@/api/client'
import NewMachineDialog from './NewMachineDialog.vue'
import StatusMark from '@/components/StatusMark.vue'
import UnitRow from '@/components/UnitRow.vue'
import { wordsOf } from '@/lib/failure'
import { lastSeen } from '@/lib/lastSeen'
import { clock, date, longDate } from '@/lib/time'
import { useSession } from '@/stores/session'

const { t } = useI18n()
const session = useSession()
const view = ref<TodayView | null>(null)
const problem = ref('')
const making = ref<number | null>(null)
const lead = computed(() => view.value?.lead ?? null)

async function load() {
  problem.value = ''
  try {
    view.value = await lastSeen(session.person?.id ?? 0, 'today', answer(api.GET('/api/v1/today')))
  } catch (error) {
    problem.value = wordsOf(error)
  }
}

onMounted(load)
</script>

<template>
  <div class="today">
    <div v-if="problem" class="problem" role="alert">
      <p>{{ problem }}</p>
      <button type="button" class="press small" @click="load">{{ t('errors.retry') }}</button>
    </div>
    <template v-if="view">
      <div class="board">
        <section v-if="lead" class="lead" :aria-label="t('today.sub')">
          <StatusMark :status="lead.status" :size="46" />
          <div class="words">
            <h1>{{ lead.machine }}: {{ lead.next }}</h1>
            <p>{{ lead.sentence }}</p>
          </div>
          <RouterLink class="press forge go" :to="{ name: 'machine', params: { id: lead.machineId } }">{{
            t('today.go')
          }}</RouterLink>
        </section>
        <p v-else class="empty">{{ t('today.empty') }}</p>
        <section v-for="job in view.jobs" :key="job.id" class="job">
          <header>
            <h2>
              <RouterLink :to="{ name: 'job', params: { id: job.id } }">{{ job.site }}</RouterLink>
            </h2>
            <p class="caption">
              {{ job.title
              }}<template v-if="job.when">
                · {{ t('today.until', { day: longDate(job.when).replace(/ \d{4}$/, '') }) }}</template
              >
            </p>
          </header>
          <details v-if="Object.keys(job.safety).length > 0" class="safety">
            <summary>{{ t('today.safety') }}</summary>
            <dl>
              <template v-for="(words, what) in job.safety" :key="what">
                <dt>{{ t(`office.safety.${what as 'hospital'}`) }}</dt>
                <dd>{{ words }}</dd>
              </template>
            </dl>
          </details>
          <UnitRow v-for="machine in job.machines" :key="machine.id" :machine="machine">
            <span class="people">{{
              machine.people.map((name) => name.split(' ')[0]).join(', ') || t('today.nobody')
            }}</span>
          </UnitRow>
          <button v-if="session.may('machines')" type="button" class="another" @click="making = job.id">
            {{ t('office.newMachine') }}
          </button>
        </section>
      </div>
      <aside class="pan">
        <template v-if="view.due.length > 0">
          <h2 class="panel-title">
            {{ t('today.due') }} <span>{{ view.due.length }}</span>
          </h2>
          <RouterLink
            v-for="one in view.due"
            :key="one.id"
            class="out due"
            :to="{ name: 'machine', params: { id: one.machineId }, query: { gate: one.gate } }"
          >
            <span>{{ one.machine }}: {{ one.what }}</span>
            <small>{{ date(one.day) }}, {{ one.site }}</small>
          </RouterLink>
        </template>
        <h2 class="panel-title">
          {{ t('today.putBack') }} <span>{{ view.putBack.length }}</span>
        </h2>
        <p v-if="view.putBack.length === 0" class="none">{{ t('today.nothing') }}</p>
        <RouterLink
          v-for="entry in view.putBack"
          :key="entry.id"
          class="out"
          :to="{ name: 'machine', params: { id: entry.machineId } }"
        >
          <span>{{ entry.what }}, {{ entry.machine }}</span>
          <small>{{
            entry.left
              ? t('tape.leftTo', { owner: entry.owner, due: date(entry.due) })
              : t('tape.since', { time: clock(entry.since) })
          }}</small>
        </RouterLink>
      </aside>
    </template>
    <NewMachineDialog v-model="making" @made="load" />
  </div>
</template>

<style scoped>
.today {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  height: 100%;
}
.safety {
  margin-top: 4px;
  font-size: 15px;
}
.safety summary {
  display: flex;
  align-items: center;
  min-height: 44px;
  cursor: pointer;
  color: var(--iron-soft);
}
.safety dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 16px;
  padding: 0 0 8px;
}
.safety dt {
  font-weight: 600;
}
.another {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--iron-soft);
  text-decoration: underline;
}
.board {
  padding: 18px 22px;
  overflow: auto;
  background: var(--paper);
}
.lead {
  display: flex;
  align-items: center;
  gap: 18px;
  min-height: 118px;
  padding: 14px 0;
  border-top: 2px solid var(--ink);
  border-bottom: 2px solid var(--ink);
}
.words {
  flex: 1;
}
h1 {
  font-size: 36px;
}
.words p {
  margin-top: 4px;
  font-size: 17px;
  color: var(--iron);
}
.go {
  display: grid;
  place-items: center;
  min-height: 56px;
  text-decoration: none;
}
.job {
  margin-top: 22px;
}
.job header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 14px;
  padding-bottom: 4px;
  border-bottom: 1px solid var(--ink);
}
h2 {
  font-size: 24px;
}
small {
  display: block;
  font: 400 14px/1.3 var(--text);
  color: var(--iron-soft);
}
.people {
  font-size: 15px;
}
.pan {
  padding: 18px 16px;
  background: var(--pan);
  border-left: 1px solid var(--rule);
  overflow: auto;
}
.out {
  display: block;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
  text-decoration: none;
}
.none,
.empty {
  padding: 10px 0;
}
.problem {
  grid-column: 1 / -1;
  padding: 22px;
}
@media (max-width: 900px) {
  .today {
    display: block;
    overflow: auto;
  }
  .board {
    padding: 12px 14px;
  }
  .lead {
    flex-wrap: wrap;
    gap: 12px;
  }
  h1 {
    font-size: 29px;
  }
  .go {
    width: 100%;
  }
  .words {
    flex-basis: 70%;
  }
  .people {
    display: none;
  }
  .job header {
    display: block;
  }
}
</style>
