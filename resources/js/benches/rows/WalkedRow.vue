<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useMachine } from '@/stores/machine'
import { useBench } from '../bench'
import { valueAt } from '../entered'

/** A list walked item by item: yes, no, or not applicable with a reason, of which some stand ready. */
const bench = useBench()
const machine = useMachine()
const { t } = useI18n()
type Answer = 'yes' | 'no' | 'not_applicable'
const ANSWERS: Answer[] = ['yes', 'no', 'not_applicable']
const check = computed(() => bench.checks.value[0])
const items = computed(() =>
  (check.value?.items ?? []).filter(
    (item) => machine.view === null || (item.types?.includes(machine.view.jobType) ?? true),
  ),
)
const at = (id: string, member: string) => `items.${id}.${member}`
/** What was recorded before may answer an item by itself, until somebody says otherwise. */
const answerOf = (id: string) =>
  (bench.draft.value.values[at(id, 'answer')] ?? valueAt(bench.prefill.value, at(id, 'answer'))) as
    Answer | undefined
const reasonOf = (id: string) => String(bench.draft.value.values[at(id, 'reason')] ?? '')
const done = computed(() => items.value.filter((item) => answerOf(item.id) !== undefined).length)
/** The pre-start list is what somebody's hand was on: nothing of it is answered in bulk. */
const mayRest = computed(() => check.value?.id !== 'list.prestart')
const rest = computed(() => items.value.filter((item) => answerOf(item.id) === undefined && !item.always))

function put(id: string, answer: Answer) {
  bench.draft.value.values[at(id, 'answer')] = answer
  if (answer !== 'not_applicable') delete bench.draft.value.values[at(id, 'reason')]
}

function reason(id: string, text: string) {
  bench.draft.value.values[at(id, 'reason')] = text
}

function restYes() {
  for (const item of rest.value) put(item.id, 'yes')
}
</script>

<template>
  <div class="walked">
    <div class="count">
      <p class="fig">{{ t('list.left', { done, of: items.length }) }}</p>
      <div class="track"><div :style="{ width: `${(100 * done) / Math.max(1, items.length)}%` }"></div></div>
      <button
        v-if="mayRest && done > 0 && rest.length > 0"
        type="button"
        class="press small"
        @click="restYes"
      >
        {{ t('list.rest') }}
      </button>
    </div>
    <fieldset v-for="item in items" :key="item.id" class="item" :class="answerOf(item.id)">
      <legend>
        {{ item.text }}<small v-if="item.help">{{ item.help }}</small>
      </legend>
      <div class="answers">
        <label
          v-for="answer in ANSWERS.filter((a) => a !== 'not_applicable' || !item.always)"
          :key="answer"
          :class="{ on: answerOf(item.id) === answer }"
        >
          <input
            type="radio"
            :name="`item-${item.id}`"
            :value="answer"
            :checked="answerOf(item.id) === answer"
            @change="put(item.id, answer)"
          />{{ t(`list.${answer}`) }}
        </label>
      </div>
      <div v-if="answerOf(item.id) === 'not_applicable'" class="why">
        <label
          >{{ t('list.why')
          }}<input
            :value="reasonOf(item.id)"
            maxlength="500"
            :aria-invalid="bench.problemAt(at(item.id, 'reason')) !== ''"
            @input="reason(item.id, ($event.target as HTMLInputElement).value)"
        /></label>
        <button
          v-for="ready in item.ready"
          :key="ready"
          type="button"
          class="press small"
          @click="reason(item.id, ready)"
        >
          {{ ready }}
        </button>
      </div>
    </fieldset>
  </div>
</template>

<style scoped>
.count {
  display: grid;
  grid-template-columns: auto minmax(60px, 1fr) auto;
  align-items: center;
  gap: 14px;
  padding: 4px 0 8px;
  border-bottom: 1px solid var(--rule);
}
.fig {
  font: 600 30px/1 var(--figures);
}
.track {
  height: 10px;
  background: var(--rule);
}
.track div {
  height: 100%;
  background: var(--ink);
}
.item {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  margin: 0;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
}
legend {
  float: left;
  padding: 0 10px 0 0;
  font-size: 16px;
  line-height: 1.25;
}
small {
  display: block;
  font-size: 13.5px;
  color: var(--iron-soft);
}
.answers {
  display: flex;
}
.answers label {
  position: relative;
  display: grid;
  place-items: center;
  min-width: 58px;
  min-height: 46px;
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
  display: flex;
  align-items: end;
  gap: 8px;
  font-size: 15px;
}
.why label {
  flex: 1;
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
    gap: 4px;
  }
}
</style>
