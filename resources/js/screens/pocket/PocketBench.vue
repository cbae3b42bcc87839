<script setup lang="ts">
import { computed, onMounted, ref, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import BenchFrame from '@/benches/BenchFrame.vue'
import { wordsOf } from '@/lib/failure'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import AttachDialog from './AttachDialog.vue'
import { benchOf } from './pocket'

/** One check at no machine: the same bench, judged as one types, and taken to a machine when it belongs to one. */
const props = defineProps<{ bench: string }>()
const { t } = useI18n()
const router = useRouter()
const machine = useMachine()
const checks = useChecks()
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const attaching = ref(false)
const ready = ref(false)
const failure = ref('')
const spec = computed(() => benchOf(props.bench))
const view = computed(() => checks.check(spec.value?.parts[0]?.check ?? ''))
machine.leave()
onMounted(async () => {
  try {
    await checks.load()
    ready.value = true
  } catch (error) {
    failure.value = wordsOf(error)
  }
})
watchEffect(() => {
  if (spec.value === undefined) void router.replace({ name: 'pocket' })
})
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ view?.question ?? '' }}</h1>
      <RouterLink class="caption" :to="{ name: 'pocket' }">{{ t('pocket.all') }}</RouterLink>
    </header>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <BenchFrame
      v-if="ready && spec && machine.view === null"
      :key="spec.id"
      ref="frame"
      :spec="spec"
      @attach="attaching = true"
    />
    <AttachDialog
      v-if="spec"
      v-model="attaching"
      :carried="() => ({ bench: spec?.id ?? '', inputs: frame?.typed() ?? [] })"
    />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  max-width: 1080px;
  height: 100%;
  margin: 0 auto;
  padding: 8px 20px 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0 14px;
}
h1 {
  font-size: 32px;
}
header a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 640px) {
  .page {
    padding: 4px 14px 0;
  }
  h1 {
    font-size: 26px;
  }
}
</style>
