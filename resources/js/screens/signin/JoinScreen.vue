<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { useSession } from '@/stores/session'

/** A link that lets somebody in, once: with a password of their own. */
const props = defineProps<{ token: string }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const { problem, busy, attempt, fetched } = useAttempt()
const link = ref<Schemas['InvitationView'] | null>(null)
const password = ref('')
const SHORTEST = 10
onMounted(() =>
  fetched(async () => {
    await session.load()
    link.value = await answer(api.POST('/api/v1/session/link', { body: { token: props.token } }))
  }),
)
const join = () =>
  attempt(async () => {
    session.enter(
      await answer(
        api.POST('/api/v1/session/join', { body: { token: props.token, password: password.value } }),
      ),
    )
    await router.replace({ name: 'today' })
  })
</script>

<template>
  <div class="join">
    <form @submit.prevent="join">
      <h1>
        {{
          link ? t(link.kind === 'reset' ? 'join.reset' : 'join.hello', { name: link.name }) : t('app.name')
        }}
      </h1>
      <BothSides v-if="problem" :problem="problem" />
      <template v-if="link">
        <p>{{ t('join.as', { email: link.email, role: t(`roles.${link.role as 'lead'}`) }) }}</p>
        <input
          type="text"
          :value="link.email"
          autocomplete="username"
          class="sr-only"
          readonly
          tabindex="-1"
          aria-hidden="true"
        />
        <label
          >{{ t('join.password', { count: SHORTEST })
          }}<input
            v-model="password"
            type="password"
            autocomplete="new-password"
            :minlength="SHORTEST"
            required
            autofocus
        /></label>
        <button type="submit" class="press forge" :disabled="busy || password.length < SHORTEST">
          {{ t('join.enter') }}
        </button>
      </template>
    </form>
  </div>
</template>

<style scoped>
.join {
  display: grid;
  place-items: center;
  min-height: 100vh;
  padding: 20px;
}
form {
  display: grid;
  gap: 14px;
  width: min(480px, 100%);
  padding: 26px;
  background: var(--paper);
  border-top: 6px solid var(--ink);
}
h1 {
  font-size: 34px;
}
label {
  display: grid;
  gap: 4px;
}
input {
  min-height: 48px;
  padding: 0 12px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
}
</style>
