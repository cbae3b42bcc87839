<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { clock } from '@/lib/time'
import { useBoard } from './board'
import type { SketchProps } from './sketch'

/** The valves of a circuit: closed ones stand across the pipe, open ones along it. Pressed, one is taken up again. */
defineProps<SketchProps>()
const { t } = useI18n()
const { things, take } = useBoard('entry.valve')
const TURN: Record<string, number> = { open: 0, mid: 45, shut: 90 }
const stateOf = (input: Record<string, unknown>) => String(input.state ?? 'open')
</script>

<template>
  <ul class="board" :aria-label="t('board.valves')">
    <li v-for="thing in things" :key="thing.name">
      <button type="button" @click="take(thing)">
        <svg viewBox="0 0 56 40" aria-hidden="true">
          <path d="M0 20 H56" class="pipe" />
          <circle cx="28" cy="20" r="13" class="seat" />
          <path
            d="M14 20 H42"
            class="handle"
            :class="stateOf(thing.input)"
            :transform="`rotate(${TURN[stateOf(thing.input)] ?? 0} 28 20)`"
          />
        </svg>
        <span
          ><b>{{ thing.name }}</b
          ><small
            >{{ t(`board.${stateOf(thing.input) as 'open'}`)
            }}<template v-if="thing.input.turns !== undefined"
              >, {{ t('board.turns', { n: thing.input.turns }) }}</template
            ><template v-if="thing.input.cap === false">, {{ t('board.capOff') }}</template> ·
            {{ thing.entry.who }}, {{ clock(thing.entry.deviceAt) }}</small
          ></span
        >
      </button>
    </li>
    <li v-if="things.length === 0" class="none">{{ t('board.noValves') }}</li>
  </ul>
</template>

<style scoped>
.board {
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 56px;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  text-align: left;
}
b {
  display: block;
  font: 600 20px/1.1 var(--figures);
}
small {
  font-size: 14px;
  color: var(--iron-soft);
}
.pipe {
  stroke: var(--rule);
  stroke-width: 8;
}
.seat {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.handle {
  stroke: var(--clear);
  stroke-width: 6;
}
.handle.shut {
  stroke: var(--stop);
}
.handle.mid {
  stroke: var(--watch);
}
.none {
  padding: 20px 0;
  font-size: 15px;
  color: var(--iron-soft);
}
</style>
