<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { wordsOf } from '@/lib/failure'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import { type OnBoard, useBoard } from './board'
import type { SketchProps } from './sketch'

/**
 * The joints of a circuit in the order they are made: dragged by their grip, or moved with the arrow keys. The usual
 * order puts the drier last, where it is opened last.
 */
defineProps<SketchProps>()
const { t, tm, rt } = useI18n()
const machine = useMachine()
const session = useSession()
const { things, subject, take } = useBoard('entry.joint')
const STEP = 10
const orderOf = (thing: OnBoard, i: number) =>
  typeof thing.input.order === 'number' ? thing.input.order : (i + 1) * STEP
const joints = computed(() =>
  things.value.map((thing, i) => ({ ...thing, order: orderOf(thing, i) })).sort((a, b) => a.order - b.order),
)
const failure = ref('')
const held = ref<string | null>(null)
const over = ref<number | null>(null)
const mayMove = computed(() => session.may('record') && !machine.sending)

const joint = (input: Record<string, unknown>) => ({
  check: 'entry.joint',
  subject: subject.value,
  input,
})

async function keep(parts: ReturnType<typeof joint>[], words: string) {
  failure.value = ''
  try {
    await machine.recordTogether(parts, {}, { label: t('tabs.joints'), words })
  } catch (error) {
    failure.value = wordsOf(error)
  }
}

/** The usual joints of a changeout, from the suction line to the drier. */
function usual() {
  const names = (tm('board.usual') as string[]).map((one) => rt(one))
  void keep(
    names.map((name, i) => joint({ name, kind: 'braze', state: 'open', order: (i + 1) * STEP })),
    t('board.usualOrder'),
  )
}

/** Between its new neighbours, so that one entry says it. */
function move(from: number, to: number) {
  const list = joints.value
  const thing = list[from]
  if (thing === undefined || from === to || to < 0 || to >= list.length || !mayMove.value) return
  const rest = list.filter((_, i) => i !== from)
  const [before, after] = [rest[to - 1], rest[to]]
  const order =
    before === undefined
      ? (after?.order ?? STEP) / 2
      : after === undefined
        ? before.order + STEP
        : (before.order + after.order) / 2
  void keep([joint({ ...thing.input, order })], thing.name)
}

function drag(event: PointerEvent, name: string) {
  if (!mayMove.value) return
  held.value = name
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function hover(event: PointerEvent) {
  if (held.value === null) return
  const rows = [...document.querySelectorAll<HTMLElement>('.joints li[data-joint]')]
  const at = rows.findIndex((row) => event.clientY < row.getBoundingClientRect().bottom)
  over.value = at === -1 ? rows.length - 1 : at
}

function drop() {
  const from = joints.value.findIndex((one) => one.name === held.value)
  if (over.value !== null && from !== -1) move(from, over.value)
  held.value = over.value = null
}
const stateOf = (thing: OnBoard) => String(thing.input.state ?? 'open')
</script>

<template>
  <div class="joints">
    <ol v-if="joints.length > 0" :aria-label="t('tabs.joints')">
      <li
        v-for="(thing, i) in joints"
        :key="thing.name"
        :data-joint="thing.name"
        :class="[stateOf(thing), { held: held === thing.name, over: over === i && held !== null }]"
      >
        <button
          type="button"
          class="grip"
          :disabled="!mayMove"
          :aria-label="t('board.move', { name: thing.name })"
          @pointerdown.prevent="drag($event, thing.name)"
          @pointermove="hover"
          @pointerup="drop"
          @pointercancel="drop"
          @keydown.up.prevent="move(i, i - 1)"
          @keydown.down.prevent="move(i, i + 1)"
        >
          {{ i + 1 }}
        </button>
        <button type="button" class="take" @click="take(thing)">
          <b>{{ thing.name }}</b>
          <small
            >{{ t(`board.joint.${stateOf(thing) as 'open'}`)
            }}<template v-if="thing.input.seen === true">, {{ t('board.seen') }}</template
            ><template v-if="Array.isArray(thing.input.by)">
              · {{ thing.input.by.join(', ') }}</template
            ></small
          >
        </button>
      </li>
    </ol>
    <template v-else>
      <p class="none">{{ t('board.noJoints') }}</p>
      <button v-if="mayMove" type="button" class="press small" @click="usual">
        {{ t('board.usualOrder') }}
      </button>
    </template>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  </div>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.over {
  border-top: 3px solid var(--forge);
}
.held {
  opacity: 0.5;
}
button {
  min-height: 52px;
  border: 0;
  background: none;
  text-align: left;
}
.grip {
  font: 600 22px/1 var(--figures);
  color: var(--iron-soft);
  cursor: grab;
  touch-action: none;
}
b {
  display: block;
  font: 600 19px/1.1 var(--figures);
}
small {
  font-size: 14px;
  color: var(--iron-soft);
}
.done b {
  color: var(--clear);
}
.interrupted b {
  color: var(--stop);
}
.begun b {
  color: var(--forge-text);
}
.none {
  padding: 16px 0;
  font-size: 15px;
  color: var(--iron-soft);
}
.press {
  text-align: center;
}
.failure {
  color: var(--stop);
}
</style>
