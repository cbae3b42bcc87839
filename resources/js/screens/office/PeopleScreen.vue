<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { clock, date, day } from '@/lib/time'
import { useSession } from '@/stores/session'
import OfficeFrame from './OfficeFrame.vue'

/** Who belongs to the company, what each is, who was let in how. A link is handed over by whoever made it. */
const { t } = useI18n()
const session = useSession()
const { problem, busy, attempt, fetched } = useAttempt()
const ROLES = ['helper', 'starter', 'lead', 'office'] as const
const view = ref<Schemas['PeopleView'] | null>(null)
const fresh = ref({ name: '', email: '', role: 'starter' })
const link = ref('')
const whose = ref('')
const mailed = ref(false)

/** Who is a lead is a matter of leads. */
const mayTouch = (role: string) => role !== 'lead' || session.may('leads')
const roles = computed(() => ROLES.filter(mayTouch))
const load = async () => (view.value = await answer(api.GET('/api/v1/people')))
onMounted(() => fetched(load))
const change = (path: string, body: Record<string, unknown> = {}) =>
  attempt(async () => (view.value = await post<Schemas['PeopleView']>(path, body)))

function tell(who: string, made: Schemas['LinkView']) {
  whose.value = who
  mailed.value = made.mailed
  link.value = `${location.origin}${made.path}`
}

async function invite() {
  await attempt(async () => {
    tell(fresh.value.name, await post<Schemas['LinkView']>('people', fresh.value))
    fresh.value = { name: '', email: '', role: 'starter' }
    await load()
  })
}

const reset = (person: Schemas['MemberView']) =>
  attempt(async () => tell(person.name, await post<Schemas['LinkView']>(`people/${person.id}/reset`)))
</script>

<template>
  <OfficeFrame :title="t('office.pages.people')">
    <BothSides v-if="problem" :problem="problem" />
    <div v-if="link" class="told" role="status">
      <p>{{ t(mailed ? 'people.mailed' : 'people.handOver', { who: whose }) }}</p>
      <input
        :value="link"
        readonly
        :aria-label="t('people.link')"
        @focus="($event.target as HTMLInputElement).select()"
      />
    </div>
    <form @submit.prevent="invite">
      <label>{{ t('people.name') }}<input v-model="fresh.name" maxlength="120" required /></label>
      <label
        >{{ t('signIn.email') }}<input v-model="fresh.email" type="email" maxlength="255" required
      /></label>
      <label
        >{{ t('people.role')
        }}<select v-model="fresh.role">
          <option v-for="role in roles" :key="role" :value="role">{{ t(`roles.${role}`) }}</option>
        </select></label
      >
      <button type="submit" class="press small forge" :disabled="busy">{{ t('people.invite') }}</button>
    </form>
    <table v-if="view" class="stacked">
      <tbody>
        <tr v-for="one in view.people" :key="one.id" :class="{ gone: !one.active }">
          <td>
            <b>{{ one.name }}</b><small>{{ one.email }}</small>
          </td>
          <td>
            <select
              :value="one.role"
              :aria-label="t('people.roleOf', { who: one.name })"
              :disabled="busy || !one.active || !mayTouch(one.role)"
              @change="change(`people/${one.id}/role`, { role: ($event.target as HTMLSelectElement).value })"
            >
              <option v-for="role in mayTouch(one.role) ? roles : ROLES" :key="role" :value="role">
                {{ t(`roles.${role}`) }}
              </option>
            </select>
          </td>
          <td>
            <label class="license"
              >{{ t('people.license')
              }}<input
                :value="one.license"
                maxlength="60"
                :disabled="busy"
                :aria-label="`${t('people.license')} ${one.name}`"
                @change="
                  change(`people/${one.id}/license`, { license: ($event.target as HTMLInputElement).value })
                "
            /></label>
          </td>
          <td class="acts">
            <template v-if="one.active">
              <button v-if="mayTouch(one.role)" type="button" class="press small" @click="reset(one)">
                {{ t('people.reset') }}
              </button>
              <button type="button" class="press small" @click="change(`people/${one.id}/sign-out`)">
                {{ t('people.signOut') }}
              </button>
            </template>
            <button
              v-if="mayTouch(one.role)"
              type="button"
              class="press small"
              @click="change(`people/${one.id}/active`, { active: !one.active })"
            >
              {{ t(one.active ? 'people.letGo' : 'people.letIn') }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <section v-if="view && view.invited.length > 0">
      <h2>{{ t('people.links') }}</h2>
      <table class="stacked">
        <tbody>
          <tr v-for="one in view.invited" :key="one.id">
            <td>
              <b>{{ one.name }}</b><small>{{ one.email }}</small>
            </td>
            <td>
              {{
                one.kind === 'reset'
                  ? t('people.forReset')
                  : t('people.forInvite', { role: t(`roles.${one.role as 'lead'}`) })
              }}<small>{{
                t(one.by ? 'people.madeBy' : 'people.until', {
                  who: one.by,
                  day: date(one.until.slice(0, 10)),
                })
              }}</small>
            </td>
            <td class="acts">
              <button
                type="button"
                class="press small"
                :disabled="busy"
                @click="change(`people/links/${one.id}/withdraw`)"
              >
                {{ t('people.withdraw') }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="view && view.signIns.length > 0">
      <h2>{{ t('people.signIns') }}</h2>
      <table>
        <tbody>
          <tr v-for="(one, i) in view.signIns" :key="i">
            <td>{{ one.name }}</td>
            <td>{{ day(one.at) }} {{ clock(one.at) }}</td>
            <td>{{ t(`people.how.${one.how as 'demo'}`) }}{{ one.ok ? '' : `, ${t('people.wrong')}` }}</td>
            <td>{{ one.address }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </OfficeFrame>
</template>

<style scoped>
@media (min-width: 641px) {
  td {
    vertical-align: bottom;
  }
}
b {
  font: 600 20px/1.2 var(--figures);
}
.license {
  display: grid;
  gap: 2px;
  font-size: 14px;
  color: var(--iron-soft);
}
.license input {
  width: 130px;
  min-height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
}
small {
  display: block;
  color: var(--iron-soft);
  font-size: 14px;
}
.gone {
  color: var(--iron-soft);
}
.told {
  display: grid;
  gap: 6px;
  padding: 12px 14px;
  background: var(--pan);
  border-left: 6px solid var(--forge);
}
</style>
