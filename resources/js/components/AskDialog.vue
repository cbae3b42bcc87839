<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { problemOf, type ProblemView } from '@/api/client'
import BothSides from './BothSides.vue'
import { useMachine } from '@/stores/machine'

/** A few words asked for and sent: it closes when they have arrived, and says why when they have not. */
const props = defineProps<{
  title: string
  submit: string
  incomplete: boolean
  send: () => Promise<unknown>
  /** It goes on with the work, rather than against a stop. */
  forge?: boolean
  wide?: boolean
}>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const problem = ref<ProblemView | null>(null)

watch(open, () => (problem.value = null))

async function put() {
  try {
    await props.send()
    open.value = false
  } catch (error) {
    problem.value = problemOf(error)
  }
}
</script>

<template>
  <ElDialog v-model="open" :title="title" :width="wide ? 'min(760px, 94vw)' : 'min(500px, 94vw)'">
    <form @submit.prevent="put">
      <slot />
      <BothSides v-if="problem" :problem="problem" />
      <div class="foot">
        <button type="button" class="press small" @click="open = false">{{ t('app.cancel') }}</button>
        <slot name="instead" />
        <button
          type="submit"
          class="press small"
          :class="{ forge }"
          :disabled="incomplete || machine.sending"
        >
          {{ submit }}
        </button>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}
.foot {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
