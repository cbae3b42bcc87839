<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ClockView } from '@/api/client'
import { wordsOf } from '@/lib/failure'
import { clock as wall, day, left } from '@/lib/time'
import { useClocks } from '@/stores/clocks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

/** All clocks, the next to end first; on a machine, another one. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ at: number | null }>()
const { t } = useI18n()
const clocks = useClocks()
const machine = useMachine()
const session = useSession()
const KINDS = {
  fire_watch: 60,
  detector_covered: 60,
  system_open: 15,
  pressure_hold: 1440,
  decay: 10,
  stabilise: 15,
  warm_up: 1440,
  commissioning_run: 120,
  pump_down: 15,
  pump_down_vacuum: 1,
  rest: 3,
} as const
const kind = ref<keyof typeof KINDS>('fire_watch')
const name = ref('')
const minutes = ref('')
const problem = ref('')
const mayStart = computed(() => props.at !== null && session.may('record'))

async function begin() {
  problem.value = ''
  const typed = minutes.value.trim() === '' ? KINDS[kind.value] : Number(minutes.value)
  if (!Number.isInteger(typed) || typed < 1) {
    problem.value = t('clocks.whole')
    return
  }
  try {
    const label = t('clocks.started')
    const words = name.value || t(`clocks.kinds.${kind.value}`)
    await machine.tell('clocks', { kind: kind.value, name: name.value, minutes: typed }, { label, words })
    name.value = minutes.value = ''
    await clocks.load()
  } catch (error) {
    problem.value = wordsOf(error)
  }
}

async function stop(one: ClockView) {
  try {
    await clocks.stop(one, t('clocks.stopped'), '')
  } catch (error) {
    problem.value = wordsOf(error)
  }
}
</script>

<template>
  <ElDialog v-model="open" :title="t('clocks.title')" width="min(620px, 96vw)">
    <p v-if="clocks.clocks.length === 0">{{ t('clocks.none') }}</p>
    <ul>
      <li v-for="one in clocks.clocks" :key="one.id" :class="{ ended: clocks.left(one) <= 0 }">
        <b class="time">{{ clocks.left(one) <= 0 ? t('clocks.over') : left(clocks.left(one)) }}</b>
        <span
          ><RouterLink :to="{ name: 'machine', params: { id: one.machineId } }" @click="open = false"
            >{{ one.machine }}: {{ one.name }}</RouterLink
          ><small
            >{{ t('clocks.until', { time: `${day(one.endsAt)} ${wall(one.endsAt)}`.trim() }) }}, {{ one.who
            }}<template v-if="clocks.left(one) <= 0">. {{ one.next }}</template></small
          ></span
        >
        <button
          v-if="one.at !== null && session.may('record')"
          type="button"
          class="press small"
          @click="stop(one)"
        >
          {{ t('clocks.stop') }}
        </button>
      </li>
    </ul>
    <form v-if="mayStart" @submit.prevent="begin">
      <label
        >{{ t('clocks.kind')
        }}<select v-model="kind">
          <option v-for="(_, one) in KINDS" :key="one" :value="one">{{ t(`clocks.kinds.${one}`) }}</option>
        </select></label
      >
      <label>{{ t('clocks.name') }}<input v-model="name" maxlength="120" /></label>
      <label
        >{{ t('clocks.minutes')
        }}<input v-model="minutes" inputmode="numeric" :placeholder="String(KINDS[kind])"
      /></label>
      <button type="submit" class="press small forge" :disabled="machine.sending">
        {{ t('clocks.start') }}
      </button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p class="file">
      <a href="/api/v1/clocks.ics" download>{{ t('clocks.calendar') }}</a>
      <a href="/api/v1/days.ics" download>{{ t('clocks.days') }}</a>
    </p>
  </ElDialog>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 92px 1fr auto;
  gap: 12px;
  align-items: center;
  min-height: 56px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.time {
  font: 600 26px/1 var(--figures);
}
.ended .time {
  color: var(--stop);
}
small {
  display: block;
  color: var(--iron-soft);
  font-size: 14px;
}
form {
  display: grid;
  grid-template-columns: 1.3fr 1.6fr 0.7fr auto;
  gap: 8px;
  align-items: end;
  margin-top: 14px;
}
label {
  display: grid;
  gap: 2px;
  font-size: 14px;
  color: var(--iron-soft);
}
input,
select {
  width: 100%;
  min-height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  color: var(--ink);
  font-size: 16px;
}
.problem {
  color: var(--stop);
}
.file {
  margin-top: 12px;
}
.file a {
  display: inline-flex;
  margin-right: 20px;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 640px) {
  form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
