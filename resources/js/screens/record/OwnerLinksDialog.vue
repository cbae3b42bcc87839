<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { clock, date, day } from '@/lib/time'
import { useSession } from '@/stores/session'

/** Links an owner reads this record through: told once, withdrawn at once. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ machine: number }>()
const { t } = useI18n()
const session = useSession()
const { problem, busy, attempt, fetched } = useAttempt()
const links = ref<Schemas['OwnerLinkView'][]>([])
const told = ref('')
const forWhom = ref('')
const days = ref(90)

async function load() {
  const path = { machine: props.machine }
  links.value = (await answer(api.GET('/api/v1/machines/{machine}/owner-links', { params: { path } }))).links
}
watch(open, (on) => {
  told.value = ''
  if (on) void fetched(load)
})
const make = () =>
  attempt(async () => {
    const body = { forWhom: forWhom.value, days: days.value }
    const { path } = await post<Schemas['LinkView']>(`machines/${props.machine}/owner-links`, body)
    told.value = `${location.origin}${path}`
    forWhom.value = ''
    await load()
  })
const withdraw = (id: number) =>
  attempt(async () => {
    const kept = await post<Schemas['OwnerLinksView']>(`machines/${props.machine}/owner-links/${id}/withdraw`)
    links.value = kept.links
  })
</script>

<template>
  <ElDialog v-model="open" :title="t('owner.title')" width="min(620px, 96vw)">
    <form @submit.prevent="make">
      <label>{{ t('owner.forWhom') }}<input v-model="forWhom" maxlength="120" required /></label>
      <label
        >{{ t('owner.days') }}<input v-model.number="days" type="number" min="1" max="730" required
      /></label>
      <button type="submit" class="press small forge" :disabled="busy || forWhom.trim() === ''">
        {{ t('owner.make') }}
      </button>
    </form>
    <div v-if="told" class="told" role="status">
      <p>{{ t('owner.told') }}</p>
      <input
        :value="told"
        readonly
        :aria-label="t('people.link')"
        @focus="($event.target as HTMLInputElement).select()"
      />
    </div>
    <BothSides v-if="problem" :problem="problem" />
    <ul>
      <li v-for="one in links" :key="one.id" :class="{ gone: one.withdrawnAt }">
        <span
          >{{ one.forWhom
          }}<small
            >{{
              one.withdrawnAt
                ? t('owner.withdrawn', { time: `${day(one.withdrawnAt)} ${clock(one.withdrawnAt)}`.trim() })
                : t('owner.until', { day: date(one.until.slice(0, 10)) })
            }}<template v-if="one.openedAt">, {{ t('owner.opened') }}</template></small
          ></span
        >
        <button
          v-if="!one.withdrawnAt && session.may('withdraw_owner_link')"
          type="button"
          class="press small"
          :disabled="busy"
          @click="withdraw(one.id)"
        >
          {{ t('owner.withdraw') }}
        </button>
      </li>
    </ul>
  </ElDialog>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: 1fr 150px auto;
  gap: 8px;
  align-items: end;
}
label {
  display: grid;
  gap: 2px;
  font-size: 14px;
  color: var(--iron-soft);
}
input {
  width: 100%;
  min-height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  color: var(--ink);
  font-size: 16px;
}
.told {
  display: grid;
  gap: 6px;
  margin: 12px 0;
  padding: 10px 12px;
  background: var(--pan);
  border-left: 6px solid var(--forge);
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 56px;
  border-bottom: 1px solid var(--rule);
}
small {
  display: block;
  color: var(--iron-soft);
  font-size: 14px;
}
.gone {
  color: var(--iron-soft);
}
@media (max-width: 640px) {
  form {
    grid-template-columns: 1fr;
  }
}
</style>
