<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { GateView } from '@/api/client'

/** The rod and the twelve questions. Neighbours that are not on the job are folded into one line. */
const props = defineProps<{ gates: GateView[]; chosen: number }>()
defineEmits<{ choose: [gate: number] }>()
const { t } = useI18n()

type Line = { kind: 'gate'; gate: GateView } | { kind: 'off'; names: string; why: string; id: number }

const lines = computed<Line[]>(() => {
  const made: Line[] = []
  for (const gate of props.gates) {
    const last = made.at(-1)
    if (gate.state !== 'not_on_job') made.push({ kind: 'gate', gate })
    else if (last?.kind === 'off' && last.why === gate.sentence) last.names += `, ${gate.name}`
    else made.push({ kind: 'off', names: gate.name, why: gate.sentence, id: gate.gate })
  }
  return made
})

function sub(gate: GateView): string {
  if (gate.state === 'not_yet' && !gate.shut) return ''
  // A stop that belongs to two questions is told once.
  if (gate.state === 'stopped' && props.gates.some((g) => g.gate < gate.gate && g.sentence === gate.sentence))
    return t('machine.sameStop')
  return gate.sentence
}
</script>

<template>
  <ol class="rail">
    <li
      v-for="line in lines"
      :key="line.kind === 'gate' ? line.gate.gate : `off-${line.id}`"
      :class="line.kind === 'gate' ? [line.gate.state, { chosen: line.gate.gate === chosen }] : 'off'"
    >
      <span class="rod" aria-hidden="true"></span>
      <button
        v-if="line.kind === 'gate'"
        type="button"
        :aria-current="line.gate.gate === chosen ? 'step' : undefined"
        @click="$emit('choose', line.gate.gate)"
      >
        <span class="question">{{ line.gate.question }}</span>
        <span class="sr-only">{{ t(`state.${line.gate.state}`) }}</span>
        <small v-if="sub(line.gate)">{{ sub(line.gate) }}</small>
      </button>
      <p v-else>
        {{ line.names }}<small>{{ line.why }}</small>
      </p>
    </li>
  </ol>
</template>

<style scoped>
.rail {
  padding: 0 0 12px;
}
li {
  position: relative;
  display: grid;
  grid-template-columns: 12px minmax(0, 1fr);
  gap: 10px;
}
.rod {
  width: 12px;
  background: var(--rule);
}
.answered .rod {
  background: var(--ink);
}
.overridden .rod {
  background: repeating-linear-gradient(var(--ink) 0 7px, transparent 7px 11px);
}
.asking .rod {
  background: var(--forge);
}
.stopped .rod {
  background:
    linear-gradient(var(--stop), var(--stop)) 0 50% / 100% 8px no-repeat,
    linear-gradient(var(--iron-soft), var(--iron-soft)) 0 0 / 100% calc(50% - 12px) no-repeat,
    linear-gradient(var(--iron-soft), var(--iron-soft)) 0 100% / 100% calc(50% - 12px) no-repeat;
}
.stopped .rod::after {
  content: '';
  position: absolute;
  left: -4px;
  top: calc(50% - 4px);
  width: 20px;
  height: 8px;
  background: var(--stop);
}
.off .rod {
  width: 1px;
  margin-left: 5px;
  background: var(--iron-soft);
}
button,
p {
  min-height: 44px;
  padding: 4px 8px 5px;
  border: 2px solid transparent;
  background: none;
  font-size: 16px;
  line-height: 1.22;
  text-align: left;
}
p {
  min-height: 0;
  color: var(--iron-soft);
  font-size: 15px;
}
.not_yet .question {
  color: var(--open);
}
.chosen button {
  border-color: var(--ink);
  background: var(--paper);
}
.chosen .question {
  font-weight: 600;
  color: var(--ink);
}
small {
  display: -webkit-box;
  margin-top: 2px;
  overflow: hidden;
  font-size: 13.5px;
  line-height: 1.25;
  color: var(--iron-soft);
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  line-clamp: 3;
}
.stopped small {
  color: var(--stop);
}
</style>
