<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type RecordView } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { useSession } from '@/stores/session'
import OwnerLinksDialog from './OwnerLinksDialog.vue'
import RecordSheet from './RecordSheet.vue'

/** The record as the company reads it, with its files and the owner's links. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const session = useSession()
const record = ref<RecordView | null>(null)
const problem = ref('')
const links = ref(false)
/** Refrigerant went in or out: it has a file of its own. */
const moved = computed(() => record.value?.evidence.some((entry) => entry.check === 'refrigerant.account'))

onMounted(async () => {
  try {
    record.value = await answer(
      api.GET('/api/v1/machines/{machine}/record', { params: { path: { machine: props.id } } }),
    )
    document.title = `${record.value.machine}, ${record.value.site}`
  } catch (error) {
    problem.value = wordsOf(error)
  }
})
</script>

<template>
  <RecordSheet
    v-if="record"
    :record="record"
    :pdf="`/api/v1/machines/${id}/record.pdf`"
    :photos="`/api/v1/machines/${id}/photos`"
  >
    <template #nav>
      <RouterLink class="press small" :to="{ name: 'machine', params: { id } }">{{
        t('app.back')
      }}</RouterLink>
    </template>
    <template #files>
      <a class="press small" :href="`/api/v1/machines/${id}/record.json`" download>{{ t('record.json') }}</a>
      <a class="press small" :href="`/api/v1/machines/${id}/readings.csv`" download>{{ t('record.csv') }}</a>
      <a v-if="moved" class="press small" :href="`/api/v1/machines/${id}/refrigerant.csv`" download>{{
        t('record.refrigerant')
      }}</a>
      <button v-if="session.may('make_owner_link')" type="button" class="press small" @click="links = true">
        {{ t('owner.open') }}
      </button>
    </template>
  </RecordSheet>
  <p v-else-if="problem" class="gone" role="alert">{{ problem }}</p>
  <OwnerLinksDialog v-if="session.may('make_owner_link')" v-model="links" :machine="id" />
</template>

<style scoped>
.gone {
  max-width: 1040px;
  margin: 0 auto;
  padding: 22px 30px;
}
.press {
  display: inline-grid;
  place-items: center;
  text-decoration: none;
}
</style>
