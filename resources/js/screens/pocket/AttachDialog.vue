<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type TodayView } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { lastSeen } from '@/lib/lastSeen'
import { type Carried, usePocket } from '@/stores/pocket'
import { useSession } from '@/stores/session'

/** Which machine it belongs to: those of today, by site; the figures stand on its bench and nothing is recorded yet. */
const props = defineProps<{ carried: () => Carried }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const pocket = usePocket()
const today = ref<TodayView | null>(null)
const looked = ref('')
const failure = ref('')
const shown = computed(() => {
  const words = looked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (today.value?.jobs ?? []).flatMap((job) =>
    job.machines
      .map((one) => ({ id: one.id, name: one.name, where: [one.place, job.site].filter(Boolean).join(', ') }))
      .filter((one) => words.every((word) => `${one.name} ${one.where}`.toLowerCase().includes(word))),
  )
})
watch(open, async (on) => {
  if (!on) return
  looked.value = failure.value = ''
  try {
    today.value = await lastSeen(session.person?.id ?? 0, 'today', answer(api.GET('/api/v1/today')))
  } catch (error) {
    failure.value = wordsOf(error)
  }
})

async function take(id: number) {
  pocket.carry(props.carried())
  open.value = false
  await router.push(
    pocket.carried?.bench === 'options'
      ? { name: 'options', params: { id } }
      : { name: 'machine', params: { id } },
  )
}
</script>

<template>
  <ElDialog v-model="open" class="finder" :title="t('pocket.which')" width="min(520px, 96vw)">
    <input v-model="looked" type="search" :placeholder="t('pocket.find')" :aria-label="t('pocket.find')" />
    <p v-if="failure" role="alert">{{ failure }}</p>
    <ul>
      <li v-for="one in shown" :key="one.id">
        <button type="button" @click="take(one.id)">
          <b>{{ one.name }}</b><small>{{ one.where }}</small>
        </button>
      </li>
    </ul>
    <p v-if="today && shown.length === 0" class="caption">{{ t('pocket.noMachine') }}</p>
  </ElDialog>
</template>
