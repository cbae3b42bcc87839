<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { useChecks } from '@/stores/checks'
import OfficeFrame from './OfficeFrame.vue'

/** The company's name, units, time zone, and the fingerprint its records are known by. */
const { t } = useI18n()
const { problem, busy, attempt, fetched } = useAttempt()
const company = ref<Schemas['CompanyView'] | null>(null)
const checks = useChecks()
/** Those of any type of job, each once. */
const facts = computed(() => [
  ...new Map(
    Object.values(checks.facts)
      .flat()
      .map((fact) => [fact.id, fact]),
  ).values(),
])
const zones = Intl.supportedValuesOf('timeZone')
onMounted(() =>
  fetched(async () => {
    await checks.load()
    company.value = await answer(api.GET('/api/v1/company'))
  }),
)
const keep = () =>
  attempt(async () => {
    if (company.value !== null)
      company.value = await post<Schemas['CompanyView']>('company', { ...company.value })
  })
</script>

<template>
  <OfficeFrame :title="t('office.pages.company')">
    <BothSides v-if="problem" :problem="problem" />
    <template v-if="company">
      <form @submit.prevent="keep">
        <label>{{ t('people.name') }}<input v-model="company.name" maxlength="120" required /></label>
        <label
          >{{ t('company.units')
          }}<select v-model="company.units">
            <option value="us">{{ t('app.us') }}</option>
            <option value="si">{{ t('app.si') }}</option>
          </select></label
        >
        <label
          >{{ t('company.zone')
          }}<select v-model="company.timeZone">
            <option v-if="!zones.includes(company.timeZone)" :value="company.timeZone">
              {{ company.timeZone }}
            </option>
            <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
          </select></label
        >
        <fieldset class="wide">
          <legend>{{ t('company.defaults') }}</legend>
          <label v-for="fact in facts" :key="fact.id" class="check"
            ><input v-model="company.facts" type="checkbox" :value="fact.id" /> {{ fact.text }}</label
          >
        </fieldset>
        <button type="submit" class="press small" :disabled="busy">{{ t('office.keep') }}</button>
      </form>
      <section>
        <h2>{{ t('company.key') }}</h2>
        <p class="key">{{ company.fingerprint }}</p>
        <p class="caption">{{ t('company.keyWhat') }}</p>
      </section>
    </template>
  </OfficeFrame>
</template>

<style scoped>
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  margin: 0;
  padding: 4px 12px 6px;
  border: 1px solid var(--rule);
}
legend {
  padding: 0 6px;
  font: 600 17px/1.2 var(--figures);
}
.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
}
.check input {
  width: 20px;
  height: 20px;
}
.key {
  font: 400 22px/1.4 var(--mono);
}
</style>
