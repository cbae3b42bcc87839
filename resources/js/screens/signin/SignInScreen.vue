<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { wordsOf } from '@/lib/failure'
import { useRoute, useRouter } from 'vue-router'
import WaitsFor from '@/screens/shell/WaitsFor.vue'
import { useSession } from '@/stores/session'

const { t } = useI18n()
const session = useSession()
const route = useRoute()
const router = useRouter()
const email = ref('')
const password = ref('')
const problem = ref('')

async function enter(how: () => Promise<void>) {
  problem.value = ''
  try {
    await how()
    const to = route.query.to
    await router.push(typeof to === 'string' && to.startsWith('/') ? to : { name: 'today' })
  } catch (error) {
    problem.value = wordsOf(error)
  }
}
</script>

<template>
  <div class="sign-in">
    <div class="card">
      <svg class="rod" viewBox="0 0 16 240" preserveAspectRatio="none" aria-hidden="true">
        <rect width="16" height="96" class="iron" />
        <rect y="96" width="16" height="28" class="forge" />
        <rect y="124" width="16" height="116" class="ink" />
      </svg>
      <div>
        <p class="name">{{ t('app.name') }}</p>
        <h1>{{ t('signIn.title') }}</h1>
        <p class="lead">{{ t('signIn.lead') }}</p>
        <WaitsFor class="waits" />
        <section v-if="session.view && session.view.demo.length > 0">
          <p>{{ t('signIn.demo') }}</p>
          <div class="demo">
            <button
              v-for="(one, i) in session.view.demo"
              :key="one.name"
              type="button"
              class="press"
              :class="{ forge: i === 0 }"
              @click="enter(() => session.signInToDemo(one.name))"
            >
              {{ one.name }}<small>{{ t(`roles.${one.role}`) }}</small>
            </button>
          </div>
        </section>
        <form @submit.prevent="enter(() => session.signIn(email, password))">
          <p>{{ session.view && session.view.demo.length > 0 ? t('signIn.or') : t('signIn.noDemo') }}</p>
          <label
            >{{ t('signIn.email') }}<input v-model="email" type="email" autocomplete="username" required
          /></label>
          <label
            >{{ t('signIn.password')
            }}<input v-model="password" type="password" autocomplete="current-password" required
          /></label>
          <button type="submit" class="press small">{{ t('signIn.enter') }}</button>
          <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        </form>
      </div>
    </div>
  </div>
</template>

<style scoped>
.sign-in {
  display: grid;
  place-items: center;
  min-height: 100%;
  padding: 20px;
}
.card {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 28px;
  max-width: 640px;
  padding: 32px 36px;
  border: 2px solid var(--ink);
  background: var(--paper);
}
.rod {
  width: 16px;
  height: 100%;
}
.iron {
  fill: var(--iron-soft);
}
.forge {
  fill: var(--forge);
}
.ink {
  fill: var(--ink);
}
.name {
  font: 600 20px/1 var(--figures);
  letter-spacing: 0.05em;
  text-transform: uppercase;
}
h1 {
  margin: 6px 0;
  font-size: 48px;
}
.lead {
  margin-bottom: 22px;
  font-size: 18px;
}
.waits {
  margin-bottom: 22px;
}
.demo {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin: 10px 0 22px;
}
.demo small {
  display: block;
  font: 400 15px/1.2 var(--text);
}
form {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  align-items: end;
  gap: 8px 10px;
  padding-top: 14px;
  border-top: 1px solid var(--rule);
}
form p {
  grid-column: 1 / -1;
}
label {
  font-size: 15px;
}
input {
  display: block;
  width: 100%;
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
}
.problem {
  color: var(--stop);
}
@media (max-width: 640px) {
  .card {
    padding: 20px;
    gap: 16px;
  }
  .demo,
  form {
    grid-template-columns: 1fr;
  }
}
</style>
