<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import { useDraft } from '@/composables/useDraft'
import { compact } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import BenchFrame from '../BenchFrame.vue'

/** A walked list: each item answered yes, no, or not applicable with a reason. */
const props = defineProps<{ tab: string }>()
const emit = defineEmits<{ recorded: [status: string] }>()
const { t } = useI18n()
const machine = useMachine()
const checks = useChecks()
type Answer = 'yes' | 'no' | 'not_applicable'
type Draft = { answers: Record<string, Answer | undefined>; reasons: Record<string, string | undefined> }
const { draft, clear, put } = useDraft<Draft>(`${machine.view?.id}.${props.tab}`, () => ({
  answers: {},
  reasons: {},
}))
/** The tabs bear the lists' own names. */
const check = computed(() => `list.${props.tab}`)
const frame = ref<InstanceType<typeof BenchFrame> | null>(null)
const items = computed(() =>
  (checks.check(check.value)?.items ?? []).filter(
    (item) => item.types === null || item.types?.includes(machine.view?.jobType ?? ''),
  ),
)
const pristine = computed(() => !Object.values(draft.value.answers).some((answer) => answer !== undefined))
const part = computed(() => ({
  check: check.value,
  subject: 'machine',
  input: {
    job_type: machine.view?.jobType,
    items: items.value
      .filter((item) => draft.value.answers[item.id] !== undefined)
      .map((item) =>
        compact({
          id: item.id,
          answer: draft.value.answers[item.id],
          reason:
            draft.value.answers[item.id] === 'not_applicable' ? draft.value.reasons[item.id] : undefined,
        }),
      ),
  },
}))
/** While nothing is typed, the count is that of the list as it was last recorded. */
const answered = computed(() => {
  const last = machine.view?.tape.find((e) => e.check === check.value && !e.suspect && e.kind === 'check')
  const given = pristine.value ? ((last?.input.items ?? []) as { id: string; answer?: Answer }[]) : []
  const before = new Set(given.filter((one) => one.answer !== undefined).map((one) => one.id))
  return items.value.filter((item) => draft.value.answers[item.id] !== undefined || before.has(item.id))
    .length
})
const open = computed(() => items.value.filter((item) => draft.value.answers[item.id] === undefined))
/** What can hurt someone is answered one by one. */
const byHand = computed(() => open.value.filter((item) => item.always).length)
const rest = computed(() => open.value.filter((item) => !item.always))
const ANSWERS: Answer[] = ['yes', 'no', 'not_applicable']

/** The place of an item among those that are sent, as the server names it. */
function sentAt(id: string): number {
  return items.value
    .filter((item) => draft.value.answers[item.id] !== undefined)
    .findIndex((item) => item.id === id)
}

function restYes() {
  for (const item of rest.value) draft.value.answers[item.id] = 'yes'
}

defineExpose({
  record: () => frame.value?.record(),
  correct: (entry: TapeEntry) => {
    const list = (entry.input.items ?? []) as { id: string; answer?: Answer; reason?: string }[]
    put({
      answers: Object.fromEntries(list.map((i) => [i.id, i.answer])),
      reasons: Object.fromEntries(list.map((i) => [i.id, i.reason])),
    })
  },
})
</script>

<template>
  <BenchFrame
    ref="frame"
    class="list"
    :part="part"
    :pristine="pristine"
    @clear="clear"
    @recorded="emit('recorded', $event)"
  >
    <template #drawing>
      <div class="walked">
        <p class="fig">{{ t('list.left', { done: answered, of: items.length }) }}</p>
        <div class="track">
          <div :style="{ width: `${(100 * answered) / Math.max(1, items.length)}%` }"></div>
        </div>
        <button v-if="rest.length > 0 && !pristine" type="button" class="press small" @click="restYes">
          {{ t('list.rest') }}
        </button>
        <p v-if="byHand > 0 && !pristine">{{ t('list.byHand', byHand) }}</p>
      </div>
    </template>
    <template #fields="{ problemOf }">
      <fieldset v-for="item in items" :key="item.id" class="item" :class="draft.answers[item.id]">
        <legend>{{ item.text }}</legend>
        <div class="answers">
          <label
            v-for="answer in ANSWERS.filter((a) => a !== 'not_applicable' || !item.always)"
            :key="answer"
            :class="{ on: draft.answers[item.id] === answer }"
          >
            <input
              v-model="draft.answers[item.id]"
              type="radio"
              :name="`item-${item.id}`"
              :value="answer"
            />{{ t(`list.${answer}`) }}
          </label>
        </div>
        <label v-if="draft.answers[item.id] === 'not_applicable'" class="why">
          {{ t('list.why')
          }}<input
            v-model="draft.reasons[item.id]"
            maxlength="500"
            :aria-invalid="problemOf(`items.${sentAt(item.id)}.reason`) !== ''"
          />
        </label>
      </fieldset>
    </template>
  </BenchFrame>
</template>

<style scoped>
.list :deep(.body) {
  grid-template-columns: minmax(0, 2fr) minmax(0, 5fr);
}
.list :deep(.right) {
  order: 2;
}
.walked {
  display: grid;
  gap: 12px;
  padding: 6px 0 12px;
}
.fig {
  font: 600 44px/1 var(--figures);
}
.track {
  height: 12px;
  background: var(--rule);
}
.track div {
  height: 100%;
  background: var(--ink);
}
.list :deep(.left) {
  position: sticky;
  top: 0;
  align-self: start;
}
.item {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  margin: 0;
  padding: 3px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
}
legend {
  float: left;
  padding: 0 8px 0 0;
  font-size: 16px;
  line-height: 1.25;
}
.answers {
  display: flex;
}
.answers label {
  position: relative;
  display: grid;
  place-items: center;
  min-width: 54px;
  min-height: 44px;
  margin-left: -2px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  font: 500 19px/1 var(--figures);
  cursor: pointer;
}
.answers .on {
  z-index: 1;
  border-color: var(--ink);
  background: var(--ink);
  color: var(--paper);
}
.no .answers .on {
  border-color: var(--stop);
  background: var(--stop);
}
.answers label:focus-within {
  z-index: 2;
  outline: 3px solid var(--forge);
}
.answers input {
  position: absolute;
  opacity: 0;
  inset: 0;
}
.why {
  grid-column: 1 / -1;
  font-size: 15px;
}
.why input {
  display: block;
  width: 100%;
  min-height: 44px;
  padding: 0 8px;
  border: 2px solid var(--iron);
  background: var(--box);
}
@media (max-width: 640px) {
  .item {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
