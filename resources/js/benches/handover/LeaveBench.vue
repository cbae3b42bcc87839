<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView, OpenItemView, PutBackView } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { useAttempt } from '@/composables/useAttempt'
import SignedMark from '@/components/SignedMark.vue'
import { date } from '@/lib/time'
import ItemDialog from '@/screens/machine/ItemDialog.vue'
import PutBackDialog from '@/screens/machine/PutBackDialog.vue'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import SignPad from './SignPad.vue'

/** Can we leave? What holds it, what is left to whom, review, and the signatures. */
const props = defineProps<{ gate: GateView }>()
const emit = defineEmits<{ choose: [gate: number]; tab: [id: string] }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const { problem, fetched } = useAttempt()
const strokes = ref<number[][][]>([])
const word = ref('')
const closing = ref<PutBackView | null>(null)
const item = ref<OpenItemView | null>(null)
const items = ref(false)
const DONE = ['answered', 'overridden', 'not_on_job']
const FEWEST = 8

const gates = computed(
  () => machine.view?.gates.filter((g) => g.gate !== props.gate.gate && !DONE.includes(g.state)) ?? [],
)
const holds = computed(() => props.gate.missing.filter((m) => m.check !== 'signature'))
const isReady = computed(() => holds.value.length === 0 && gates.value.length === 0)
const isDone = computed(() => props.gate.state === 'answered' || props.gate.state === 'overridden')
const status = computed(() => {
  if (gates.value.some((g) => g.state === 'stopped')) return 'stop'
  if (!isDone.value) return 'open'
  return props.gate.flags.includes('conditional') ? 'watch' : 'clear'
})
const sentence = computed(() => {
  if (isDone.value) return props.gate.flags.includes('conditional') ? t('leave.onCondition') : t('leave.done')
  if (isReady.value) return t('leave.sign')
  return t('leave.held', { count: holds.value.length + gates.value.length })
})
const off = computed(() => machine.view?.signOff)
const role = computed<'starter' | 'lead' | null>(() =>
  session.may('sign_lead') ? 'lead' : session.may('sign_starter') ? 'starter' : null,
)
const mine = computed(() =>
  props.gate.missing.some((m) => m.check === 'signature' && m.subject === role.value),
)
const mustReview = computed(() => role.value === 'lead' && !off.value?.reviewCounts)
const drawn = computed(() => strokes.value.flat().length >= FEWEST)

function go(check: string, subject: string) {
  if (check === 'put_back') closing.value = machine.outstanding.find((p) => String(p.id) === subject) ?? null
  else if (check === 'open_item') edit(machine.view?.items.find((i) => String(i.id) === subject) ?? null)
  else emit('tab', check === 'list.owner' ? 'owner' : 'note')
}

function edit(one: OpenItemView | null) {
  item.value = one
  items.value = true
}

const review = () =>
  fetched(() =>
    machine.tell(
      'reviews',
      { word: word.value, seen: machine.view?.news ?? 0 },
      { label: t('entries.reviewed'), words: word.value },
    ),
  )
const sign = () =>
  fetched(() =>
    machine.tell(
      'signatures',
      { role: role.value, strokes: strokes.value, seen: machine.view?.news ?? 0 },
      { label: t('entries.signed'), words: session.person?.name ?? '' },
    ),
  )

defineExpose({ record: () => undefined, correct: () => undefined })
</script>

<template>
  <div v-if="machine.view && off" class="leave">
    <VerdictLine :status="status" :sentence="sentence" :said="t(`status.${status as 'open'}`)" />
    <div class="columns">
      <section>
        <h2>{{ t('leave.holds') }}</h2>
        <p v-if="isReady" class="none">{{ t('leave.nothing') }}</p>
        <ul v-else>
          <li v-for="one in gates" :key="`g${one.gate}`" :class="one.state">
            <span
              ><b>{{ one.name }}</b> {{ one.sentence }}</span
            >
            <button type="button" class="press small" @click="emit('choose', one.gate)">
              {{ t('leave.go') }}
            </button>
          </li>
          <li v-for="one in holds" :key="one.check + one.subject">
            <span>{{ one.todo.charAt(0).toUpperCase() + one.todo.slice(1) }}</span>
            <button type="button" class="press small" @click="go(one.check, one.subject)">
              {{ t('leave.go') }}
            </button>
          </li>
        </ul>
      </section>
      <section>
        <h2>{{ t('leave.left') }}</h2>
        <p v-if="machine.view.items.length === 0" class="none">{{ t('leave.noItems') }}</p>
        <ul v-else>
          <li v-for="one in machine.view.items" :key="one.id" :class="{ gone: one.done }">
            <span
              >{{ one.what
              }}<small>{{
                one.done
                  ? one.done
                  : one.owner
                    ? t('tape.leftTo', { owner: one.owner, due: one.due ? date(one.due) : '' })
                    : t('leave.nobodys')
              }}</small></span
            >
            <button
              v-if="!one.done && session.may('record')"
              type="button"
              class="press small"
              @click="edit(one)"
            >
              {{ t('leave.change') }}
            </button>
          </li>
        </ul>
        <button v-if="session.may('record')" type="button" class="press small" @click="edit(null)">
          {{ t('items.add') }}
        </button>
        <a :href="`/api/v1/machines/${machine.view.id}/days.ics`" download>{{ t('leave.calendar') }}</a>
        <h2 class="signed">{{ t('leave.signed') }}</h2>
        <SignedMark v-for="one in off.signatures" :key="one.at" :signature="one" />
        <p v-if="off.signatures.length === 0" class="none">{{ t('leave.byNobody') }}</p>
        <p v-if="off.addendum > 0">{{ t('leave.addendum', { count: off.addendum }) }}</p>
        <BothSides v-if="problem" :problem="problem" />
        <template v-if="isReady && mine">
          <form v-if="mustReview" @submit.prevent="review">
            <label for="review-word">{{ t('leave.review') }}</label>
            <ElInput id="review-word" v-model="word" maxlength="500" />
            <button type="submit" class="press small" :disabled="word.trim() === '' || machine.sending">
              {{ t('leave.reviewed') }}
            </button>
          </form>
          <form v-else @submit.prevent="sign">
            <p>{{ t(role === 'lead' ? 'leave.asLead' : 'leave.asStarter') }}</p>
            <SignPad @drawn="strokes = $event" />
            <button type="submit" class="press forge" :disabled="!drawn || machine.sending">
              {{ t('leave.signIt') }}
            </button>
          </form>
        </template>
        <p v-else-if="isReady && !isDone" class="caption">{{ t('leave.others') }}</p>
        <p v-if="isDone">
          <RouterLink :to="{ name: 'record', params: { id: machine.view.id } }">{{
            t('machine.record')
          }}</RouterLink>
        </p>
      </section>
    </div>
    <PutBackDialog v-model="closing" />
    <ItemDialog v-model="items" :item="item" />
  </div>
</template>

<style scoped>
.leave {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  height: 100%;
}
.columns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  min-height: 0;
  padding: 10px 4px 16px 0;
  overflow: auto;
}
section {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: start;
}
h2 {
  font-size: 22px;
}
.signed {
  margin-top: 14px;
}
ul,
form {
  width: 100%;
}
form {
  display: grid;
  gap: 8px;
  justify-items: start;
}
form > :deep(.pad),
form > :deep(.el-input) {
  width: 100%;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 52px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
li b {
  display: block;
  font: 600 19px/1.2 var(--figures);
}
li .press {
  flex: none;
}
.stopped b {
  color: var(--stop);
}
.gone {
  color: var(--iron-soft);
}
small {
  display: block;
  color: var(--iron-soft);
  font-size: 14px;
}
.none {
  color: var(--iron-soft);
}
@media (max-width: 900px) {
  .leave {
    display: block;
    overflow: auto;
  }
  .columns {
    grid-template-columns: minmax(0, 1fr);
    overflow: visible;
  }
}
</style>
