<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useMachine } from '@/stores/machine'
import PastEntry from './PastEntry.vue'

/** The options are weighed on a page of their own; here stands what came of it. */
const { t } = useI18n()
const machine = useMachine()
const last = (check: string) => machine.view?.tape.find((e) => e.check === check && e.suspect === '')
const compared = computed(() => last('survey.options'))
const chosen = computed(() => last('entry.option_chosen'))
</script>

<template>
  <div class="job">
    <PastEntry v-if="compared" :entry="compared" />
    <PastEntry v-if="chosen" :entry="chosen" />
    <p v-if="!compared">{{ t('options.wait') }}</p>
    <RouterLink class="press forge" :to="{ name: 'options', params: { id: machine.view?.id ?? 0 } }">{{
      t('options.open')
    }}</RouterLink>
  </div>
</template>

<style scoped>
.job {
  display: grid;
  align-content: start;
  justify-items: start;
  gap: 14px;
}
</style>
