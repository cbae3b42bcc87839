<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { answer, api, type RecordView } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import RecordSheet from '@/screens/record/RecordSheet.vue'

/** What an owner reads through their link: the one record, and nothing else. */
const props = defineProps<{ token: string }>()
const { problem, fetched } = useAttempt()
const record = ref<RecordView | null>(null)
onMounted(() =>
  fetched(async () => {
    record.value = await answer(
      api.GET('/api/v1/owner/{token}', { params: { path: { token: props.token } } }),
    )
    document.title = `${record.value.machine}, ${record.value.site}`
  }),
)
</script>

<template>
  <RecordSheet
    v-if="record"
    :record="record"
    :pdf="`/api/v1/owner/${token}/record.pdf`"
    :photos="`/api/v1/owner/${token}/photos`"
  />
  <div v-else-if="problem" class="gone"><BothSides :problem="problem" /></div>
</template>

<style scoped>
.gone {
  max-width: 620px;
  margin: 60px auto;
  padding: 24px;
  background: var(--paper);
}
</style>
