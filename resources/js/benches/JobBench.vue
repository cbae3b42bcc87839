<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

/** What holds for this job, asked where it decides; work on the supply; what is taken out of service. */
const props = defineProps<{ gate: GateView }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const SUPPLY = 7
const WITH_PARTS = [7, 8, 9]
const { problem, fetched } = useAttempt()
const supply = ref(false)
const what = ref('')
const taking = ref(false)
const tag = ref({ subject: '', why: '', wire: '', who: '' })
/** Fans that stand still with a circuit: nobody waits for their amps. */
const fans = ref<string[]>([])
const stopsFans = computed(() => tag.value.subject.startsWith('circuit:'))
const back = ref<string | null>(null)
const word = ref('')
const facts = computed(() => machine.view?.facts.filter((fact) => fact.gates.includes(props.gate.gate)) ?? [])
/** Circuits and compressors: an indoor unit is not taken out of service here. */
const parts = computed(
  () =>
    machine.view?.parts.filter(
      (p) => !p.startsWith('indoor:') && !machine.view?.partsOut.some((out) => out.subject === p),
    ) ?? [],
)
const name = (subject: string) => subject.replace(':', ' ')

type Fact = (typeof facts.value)[number]
/** A no against the sheet wants a word. */
const against = ref<Fact | null>(null)
const reason = ref('')
const asking = computed({
  get: () => against.value !== null,
  set: (on) => (against.value = on ? against.value : null),
})

function send(fact: Fact, on: boolean) {
  const said = { label: t('entries.fact'), words: `${fact.text} ${t(on ? 'facts.yes' : 'facts.no')}` }
  const body = {
    fact: fact.id,
    on,
    seen: machine.view?.news ?? 0,
    ...(reason.value === '' ? {} : { reason: reason.value }),
  }
  return machine.tell('facts', body, said)
}

async function sendNo() {
  if (against.value !== null) await send(against.value, false)
}

async function tell(fact: Fact, on: boolean) {
  reason.value = ''
  if (!on && fact.sheet) against.value = fact
  else await fetched(() => send(fact, on))
}

function take() {
  tag.value = { subject: parts.value[0] ?? '', why: '', wire: '', who: session.person?.name ?? '' }
  fans.value = []
  taking.value = true
}
const putBack = computed({
  get: () => back.value !== null,
  set: (on) => (back.value = on ? back.value : null),
})
defineExpose({ record: () => undefined, correct: () => undefined })
</script>

<template>
  <div class="job">
    <p class="caption">{{ t('facts.lead') }}</p>
    <BothSides v-if="problem" :problem="problem" />
    <ul v-if="facts.length > 0">
      <li v-for="fact in facts" :key="fact.id">
        <span
          ><span :id="`fact-${fact.id}`">{{ fact.text }}</span
          ><small v-if="fact.bySheet || fact.ofUnit">{{
            [fact.bySheet ? t('facts.bySheet') : '', fact.ofUnit ? t('facts.ofUnit') : '']
              .filter(Boolean)
              .join(' ')
          }}</small></span
        >
        <span class="pair" role="group" :aria-labelledby="`fact-${fact.id}`">
          <button
            v-for="on in [true, false]"
            :key="String(on)"
            type="button"
            :aria-pressed="fact.on === on"
            :disabled="!session.may('facts') || machine.sending"
            @click="(fact.on !== on || fact.bySheet) && tell(fact, on)"
          >
            {{ t(on ? 'facts.yes' : 'facts.no') }}
          </button>
        </span>
      </li>
    </ul>
    <section v-if="gate.gate === SUPPLY && session.may('record')">
      <h2>{{ t('facts.supply') }}</h2>
      <p>{{ t('facts.supplyWhy') }}</p>
      <button type="button" class="press small" @click="((what = ''), (supply = true))">
        {{ t('facts.supplyTell') }}
      </button>
    </section>
    <section v-if="WITH_PARTS.includes(gate.gate) && (machine.view?.parts.length ?? 0) > 0">
      <h2>{{ t('parts.title') }}</h2>
      <ul v-if="machine.view && machine.view.partsOut.length > 0">
        <li v-for="part in machine.view.partsOut" :key="part.subject">
          <span
            ><b>{{ part.what }}</b> {{ part.why }}<small>{{ part.wire }}. {{ part.who }}</small></span
          >
          <span class="acts">
            <a
              class="press small"
              :href="`/api/v1/machines/${machine.view.id}/parts-out/${part.at}/tag.pdf`"
              target="_blank"
              >{{ t('parts.tag') }}</a
            >
            <button
              v-if="session.may('disable')"
              type="button"
              class="press small"
              @click="((word = ''), (back = part.subject))"
            >
              {{ t('parts.back') }}
            </button>
          </span>
        </li>
      </ul>
      <p v-else>{{ t('parts.none') }}</p>
      <button
        v-if="session.may('disable') && parts.length > 0"
        type="button"
        class="press small"
        @click="take"
      >
        {{ t('parts.take') }}
      </button>
    </section>
    <AskDialog
      v-model="supply"
      :title="t('facts.supply')"
      :submit="t('facts.supplyTell')"
      :incomplete="what.trim() === ''"
      :send="() => machine.tell('supply-work', { what }, { label: t('entries.supply_work'), words: what })"
    >
      <label for="supply-what">{{ t('facts.supplyWhat') }}</label>
      <ElInput id="supply-what" v-model="what" maxlength="240" autofocus />
    </AskDialog>
    <AskDialog
      v-model="taking"
      :title="t('parts.takeTitle')"
      :submit="t('parts.take')"
      :incomplete="Object.values(tag).some((v) => v.trim() === '')"
      :send="
        () =>
          machine.tell(
            'parts-out',
            { ...tag, fans: stopsFans ? fans : [] },
            {
              label: t('entries.part_disabled'),
              words: `${name(tag.subject)}: ${tag.why}`,
            },
          )
      "
    >
      <p>{{ t('parts.lockout') }}</p>
      <label for="tag-subject">{{ t('parts.subject') }}</label>
      <select id="tag-subject" v-model="tag.subject">
        <option v-for="part in parts" :key="part" :value="part">{{ name(part) }}</option>
      </select>
      <fieldset v-if="stopsFans && (machine.view?.fans.length ?? 0) > 0" class="fans">
        <legend>{{ t('parts.fans') }}</legend>
        <label v-for="fan in machine.view?.fans" :key="fan"
          ><input v-model="fans" type="checkbox" :value="fan" /> {{ fan }}</label
        >
      </fieldset>
      <template v-for="key in ['why', 'wire', 'who'] as const" :key="key">
        <label :for="`tag-${key}`">{{ t(`parts.${key}`) }}</label>
        <ElInput :id="`tag-${key}`" v-model="tag[key]" maxlength="500" />
      </template>
    </AskDialog>
    <AskDialog
      v-model="asking"
      :title="against?.text ?? ''"
      :submit="t('facts.no')"
      :incomplete="reason.trim() === ''"
      :send="sendNo"
    >
      <label for="fact-reason">{{ t('facts.against') }}</label>
      <ElInput id="fact-reason" v-model="reason" maxlength="240" autofocus />
    </AskDialog>
    <AskDialog
      v-model="putBack"
      :title="t('parts.backTitle', { part: name(back ?? '') })"
      :submit="t('parts.back')"
      :incomplete="word.trim() === ''"
      :send="
        () =>
          machine.tell(
            'parts-back',
            { subject: back, word },
            { label: t('entries.part_enabled'), words: `${name(back ?? '')}: ${word}` },
          )
      "
    >
      <label for="back-word">{{ t('parts.word') }}</label>
      <ElInput id="back-word" v-model="word" maxlength="500" autofocus />
    </AskDialog>
  </div>
</template>

<style scoped>
.job {
  display: grid;
  align-content: start;
  gap: 14px;
  padding: 6px 2px 20px 0;
  overflow: auto;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  min-height: 52px;
  border-bottom: 1px solid var(--rule);
}
.pair {
  display: flex;
  flex: none;
}
.pair button {
  min-width: 64px;
  min-height: 44px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  font-size: 17px;
}
.pair button + button {
  margin-left: -2px;
}
.pair [aria-pressed='true'] {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--paper);
}
section {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin-top: 10px;
}
section ul {
  width: 100%;
}
h2 {
  font-size: 22px;
}
small {
  display: block;
  color: var(--iron-soft);
  font-size: 14px;
}
.fans {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 6px 0;
  padding: 0;
  border: 0;
}
.fans label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
.fans input {
  width: 22px;
  height: 22px;
}
.acts {
  display: flex;
  gap: 8px;
}
.acts a {
  display: grid;
  place-items: center;
  text-decoration: none;
}
select {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
}
</style>
