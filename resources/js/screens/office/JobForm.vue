<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, type Schemas } from '@/api/client'
import { useChecks } from '@/stores/checks'

/** A job: its type and facts are said when it is made; later they change on the tape. */
const props = defineProps<{
  job?: Schemas['DeskJobView']
  people: { id: number; name: string }[]
  busy: boolean
}>()
const emit = defineEmits<{ send: [job: Record<string, unknown>] }>()
const { t } = useI18n()
const checks = useChecks()
const TYPES = ['rooftop', 'condensing', 'compressor', 'vrf'] as const
const today = new Date().toLocaleDateString('sv-SE')
const title = ref(props.job?.title ?? '')
const type = ref<(typeof TYPES)[number]>('rooftop')
const startUpOnly = ref(false)
const asked123 = ref<string[]>([])
const startsOn = ref(props.job?.startsOn ?? today)
const endsOn = ref(props.job?.endsOn ?? today)
const on = ref<number[]>(props.job?.peopleIds ?? [])
const facts = ref<string[]>([])
const usual = ref<string[]>([])
const first = ref<HTMLInputElement | null>(null)
const asked = computed(() => checks.facts[type.value] ?? [])
onMounted(async () => {
  first.value?.focus()
  await checks.load().catch(() => undefined)
  if (props.job === undefined)
    usual.value = await answer(api.GET('/api/v1/company')).then(
      (c) => c.facts,
      () => [],
    )
  // What was pressed meanwhile stays.
  another()
})

/** A preset says type and facts at once; nothing else hangs on it. */
const PRESETS = {
  startUp: { type: 'rooftop', startUpOnly: true, asked: [], facts: [] },
  changeout: { type: 'rooftop', startUpOnly: false, asked: [], facts: [] },
  compressor: { type: 'compressor', startUpOnly: false, asked: [], facts: [] },
  vrf: { type: 'vrf', startUpOnly: false, asked: [], facts: [] },
  module: { type: 'vrf', startUpOnly: false, asked: [], facts: ['module_change'] },
  repair: { type: 'rooftop', startUpOnly: true, asked: ['2', '3'], facts: ['circuit_opened'] },
} as const

function preset(name: keyof typeof PRESETS) {
  const one = PRESETS[name]
  type.value = one.type
  startUpOnly.value = one.startUpOnly
  asked123.value = [...one.asked]
  start()
  facts.value = [...new Set([...facts.value, ...one.facts])]
}

/** A job begins with what is so on most of the company's jobs of its type. */
function start() {
  facts.value = usual.value.filter((fact) => asked.value.some((one) => one.id === fact))
}

/** Of another type it keeps what was ticked, as far as that type asks it. */
function another() {
  const ticked = facts.value
  start()
  const kept = ticked.filter((fact) => asked.value.some((one) => one.id === fact))
  facts.value = [...new Set([...facts.value, ...kept])]
}

function send() {
  emit('send', {
    title: title.value,
    startsOn: startsOn.value,
    endsOn: endsOn.value,
    people: on.value,
    ...(props.job === undefined && {
      type: type.value,
      startUpOnly: startUpOnly.value,
      asked: startUpOnly.value ? asked123.value : [],
      facts: facts.value,
    }),
  })
}
</script>

<template>
  <form @submit.prevent="send">
    <fieldset v-if="!job" class="wide presets">
      <legend>{{ t('office.preset') }}</legend>
      <button
        v-for="(_, name) in PRESETS"
        :key="name"
        type="button"
        class="press small"
        @click="preset(name)"
      >
        {{ t(`office.presets.${name}`) }}
      </button>
    </fieldset>
    <label>{{ t('office.jobTitle') }}<input ref="first" v-model="title" maxlength="160" required /></label>
    <label v-if="!job"
      >{{ t('office.type')
      }}<select v-model="type" @change="another">
        <option v-for="one in TYPES" :key="one" :value="one">{{ t(`office.types.${one}`) }}</option>
      </select></label
    >
    <label>{{ t('office.from') }}<input v-model="startsOn" type="date" required /></label>
    <label>{{ t('office.until') }}<input v-model="endsOn" type="date" required /></label>
    <label v-if="!job" class="check"
      ><input v-model="startUpOnly" type="checkbox" /> {{ t('office.startUpOnly') }}</label
    >
    <fieldset v-if="!job && startUpOnly" class="wide">
      <legend>{{ t('office.asked') }}</legend>
      <label v-for="gate in ['1', '2', '3']" :key="gate" class="check"
        ><input v-model="asked123" type="checkbox" :value="gate" />
        {{ checks.gates[Number(gate) - 1]?.name }}</label
      >
    </fieldset>
    <fieldset class="wide">
      <legend>{{ t('office.onIt') }}</legend>
      <label v-for="one in people" :key="one.id" class="check"
        ><input v-model="on" type="checkbox" :value="one.id" /> {{ one.name }}</label
      >
    </fieldset>
    <fieldset v-if="!job" class="wide facts">
      <legend>{{ t('office.facts') }}</legend>
      <label v-for="fact in asked" :key="fact.id" class="check"
        ><input v-model="facts" type="checkbox" :value="fact.id" /> {{ fact.text }}</label
      >
    </fieldset>
    <button type="submit" class="press small" :disabled="busy || title.trim() === ''">
      {{ t('office.keep') }}
    </button>
  </form>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  margin: 0;
  padding: 4px 12px 6px;
  border: 1px solid var(--rule);
}
legend {
  padding: 0 6px;
  font: 600 17px/1.2 var(--figures);
}
.presets {
  gap: 8px;
  padding-bottom: 10px;
}
.facts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
}
.check {
  display: flex;
  flex-direction: row;
  align-items: center;
  gap: 8px;
  min-height: 40px;
  font-size: 16px;
  color: var(--ink);
}
.check input {
  flex: none;
  width: 20px;
  height: 20px;
}
</style>
