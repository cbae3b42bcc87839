<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted } from 'vue'
import { useI18n } from 'vue-i18n'
import { useGuide } from '@/guide/useGuide'

/** The guide over whatever one is at. It is fetched ahead, so that it is there when the signal is not. */
const { t } = useI18n()
const { open } = useGuide()
const load = () => import('@/guide/GuidePages.vue')
const GuidePages = defineAsyncComponent(load)
const isOpen = computed({
  get: () => open.value !== null,
  set: (on) => (open.value = on ? open.value : null),
})
const page = computed({ get: () => open.value ?? 0, set: (next) => (open.value = next) })
/** Once everything else is there. */
const LATER_MS = 4000
onMounted(() =>
  setTimeout(() => {
    void load().catch(() => undefined)
    void import('@/guide/pages').then((pages) => pages.fetchPictures()).catch(() => undefined)
  }, LATER_MS),
)
</script>

<template>
  <ElDialog v-model="isOpen" :title="t('guide.title')" width="min(1060px, 96vw)" top="3vh">
    <GuidePages v-if="isOpen" v-model="page" />
  </ElDialog>
</template>
