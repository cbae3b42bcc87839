<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { wordsOf } from '@/lib/failure'
import { clock } from '@/lib/time'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import type { SketchProps } from './sketch'

/**
 * A module that is worked on: the mode it is in, and what is taken off, shut or freed on it in the order of the work.
 * Each thing is named once and is put back by itself.
 */
defineProps<SketchProps>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const checks = useChecks()

/** In the order of the work; valves are written down on a bench of their own. */
const ORDER = [
  'valve_shut',
  'wire_freed',
  'bulb_off',
  'plastics_away',
  'heat_sink',
  'cores_out',
  'drier_spacer',
]
const BY_ENTRY = ['valve_shut']
const names = ref<Record<string, string>>({})
const failure = ref('')
const mayWrite = computed(() => session.may('record') && !machine.sending)

const modes = computed(() => {
  const latest = new Map<string, { module: string; on: boolean; held: string; at: string }>()
  for (const entry of machine.view?.tape ?? []) {
    if (entry.check !== 'entry.service_mode' || entry.suspect !== '') continue
    const { module, on, held } = entry.input as Record<string, unknown>
    const name = String(module ?? '')
    if (name === '' || typeof on !== 'boolean' || latest.has(name)) continue
    latest.set(name, {
      module: name,
      on: on && isOut('service_mode', name),
      held: Array.isArray(held) ? held.join(', ') : '',
      at: clock(entry.deviceAt),
    })
  }
  return [...latest.values()]
})
const lost = computed(() => machine.outstanding.filter((one) => one.kind === 'held_valve'))

function isOut(kind: string, where: string): boolean {
  return machine.outstanding.some((one) => one.kind === kind && one.what.endsWith(`: ${where}`))
}
const out = (kind: string) => machine.outstanding.filter((one) => one.kind === kind)
const text = (kind: string) => checks.putBackKinds.find((one) => one.kind === kind)?.text ?? ''
/** The part of an entry that says which one. */
const which = (what: string) => what.slice(what.indexOf(': ') + 2)

/** Several names at once are several things, each put back by itself. */
async function add(kind: string) {
  failure.value = ''
  const told = (names.value[kind] ?? '').split(/[,;]/)
  try {
    for (const name of told.map((one) => one.trim()).filter((one) => one !== '')) {
      await machine.openPutBack(kind, name, { label: text(kind), words: name })
    }
    names.value[kind] = ''
  } catch (error) {
    failure.value = wordsOf(error)
  }
}
</script>

<template>
  <div class="service">
    <p v-for="mode in modes" :key="mode.module" class="mode" :class="{ on: mode.on }">
      <b>{{ mode.module }}</b>
      {{
        mode.on
          ? t('board.modeOn', { time: mode.at, valves: mode.held })
          : t('board.modeOff', { time: mode.at })
      }}
    </p>
    <p v-if="modes.length === 0" class="mode">{{ t('board.noMode') }}</p>
    <p v-if="lost.length > 0" class="mode lost">
      {{ t('board.modeLost', { valves: lost.map((one) => which(one.what)).join(', ') }) }}
    </p>
    <ol :aria-label="t('board.order')">
      <li v-for="kind in ORDER" :key="kind" :data-kind="kind">
        <span class="what"
          >{{ text(kind) }}
          <small v-for="one in out(kind)" :key="one.id">{{ which(one.what) }}</small>
        </span>
        <span v-if="BY_ENTRY.includes(kind)" class="by">{{ t('board.byValves') }}</span>
        <form v-else-if="mayWrite || machine.sending" @submit.prevent="add(kind)">
          <input
            v-model="names[kind]"
            type="text"
            :aria-label="t('board.which', { what: text(kind) })"
            maxlength="160"
            autocomplete="off"
          />
          <button type="submit" :disabled="!mayWrite || (names[kind] ?? '').trim() === ''">
            {{ t('board.toPutBack') }}
          </button>
        </form>
      </li>
    </ol>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  </div>
</template>

<style scoped>
.mode {
  margin: 0 0 6px;
  padding-left: 10px;
  border-left: 4px solid var(--rule);
  font-size: 15.5px;
}
.mode.on {
  border-color: var(--watch);
}
.mode.lost {
  border-color: var(--stop);
  color: var(--stop);
}
.mode b {
  font: 600 19px/1.1 var(--figures);
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  gap: 4px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.what {
  font-size: 15.5px;
}
small {
  display: inline-block;
  margin: 2px 6px 0 0;
  padding: 1px 8px;
  border: 1.5px solid var(--watch);
  font: 600 16px/1.3 var(--figures);
  color: var(--watch);
}
.by {
  font-size: 14px;
  color: var(--iron-soft);
}
form {
  display: flex;
  gap: 6px;
}
input {
  flex: 1;
  min-width: 0;
  min-height: 48px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
  font: 600 18px/1 var(--figures);
}
form button {
  min-height: 48px;
  padding: 0 12px;
  border: 2px solid var(--iron);
  background: none;
  font-size: 15px;
}
form button:disabled {
  opacity: 0.45;
}
.failure {
  color: var(--stop);
}
</style>
