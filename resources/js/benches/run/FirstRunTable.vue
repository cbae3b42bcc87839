<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { FieldView } from '@/api/client'
import StatusMark from '@/components/StatusMark.vue'
import FieldCell from '../rows/FieldCell.vue'
import { amount, apart, asks, BEFORE, cellOf, isOn, type Place, type Thing, WHILE } from './firstRun'

/** Gauges and amps of each thing beside the others; on a phone of the one that is shown. */
const props = defineProps<{
  things: Thing[]
  hand: Thing | undefined
  /** The name of the one a phone shows. */
  shown: string
  fields: FieldView[]
  /** What was typed for the one at hand. */
  read: Record<string, unknown>
  mayStop: boolean
  now: number
}>()
const emit = defineEmits<{ pick: [name: string]; stop: [thing: Thing] }>()
const { t } = useI18n()
const [SUCTION = '', DISCHARGE = ''] = BEFORE
const [SUCTION_THEN = '', DISCHARGE_THEN = '', ...REST] = WHILE
const ROWS = [SUCTION, SUCTION_THEN, DISCHARGE, DISCHARGE_THEN, ...REST]
const MARKS: Record<Place, string> = {
  good: 'clear',
  bad: 'stop',
  running: 'open',
  look: 'open',
  next: '',
  held: '',
}
const field = (name: string) => props.fields.find((one) => one.name === name)
const isOpen = (thing: Thing, name: string) =>
  thing.name === props.hand?.name && asks(thing, name) && thing.place !== 'held'
function told(thing: Thing, name: string): string {
  const value = thing.start[name]
  const one = field(name)
  const word = one?.optionWords[one.options.findIndex((option) => option === value)]
  return word ?? (typeof value === 'object' && value !== null ? `${amount(value)}` : String(value ?? ''))
}
</script>

<template>
  <div class="things" role="table" :style="{ '--things': things.length }">
    <div class="line heads" role="row">
      <span role="columnheader" class="label"
        ><span class="sr-only">{{ t('firstRun.reading') }}</span></span
      >
      <span
        v-for="thing in things"
        :key="thing.name"
        class="thing head"
        :class="{ mine: thing.name === hand?.name, shown: thing.name === shown }"
        role="columnheader"
      >
        <b @click="emit('pick', thing.name)"
          ><StatusMark v-if="MARKS[thing.place]" :status="MARKS[thing.place]" :size="18" />
          {{ thing.name }}</b
        >
        <small>{{ t(`firstRun.place.${thing.place}`) }}</small>
        <button
          v-if="mayStop && isOn(thing, now) && thing.name !== hand?.name"
          type="button"
          class="press small"
          @click="emit('stop', thing)"
        >
          {{ t('firstRun.stop') }}
        </button>
      </span>
    </div>
    <div
      v-for="name in ROWS"
      :key="name"
      class="line"
      :class="{ bare: !things.some((one) => one.name === shown && asks(one, name)) }"
      role="row"
    >
      <span class="label" role="rowheader">{{ field(name)?.label }}</span>
      <span
        v-for="thing in things"
        :key="thing.name"
        class="thing"
        :class="{ mine: thing.name === hand?.name, shown: thing.name === shown }"
        role="cell"
      >
        <template v-if="asks(thing, name)">
          <FieldCell
            v-if="isOpen(thing, name) && field(name)"
            :field="field(name)!"
            :at="cellOf(thing, name)"
            :label="`${field(name)?.label}, ${thing.name}`"
            compact
          />
          <template v-else>{{ told(thing, name) }}</template>
          <small v-if="name === 'amps' && thing.start.plate_amps">{{
            t('firstRun.plate', { amps: told(thing, 'plate_amps') })
          }}</small>
        </template>
      </span>
    </div>
    <div class="line" role="row">
      <span class="label" role="rowheader">{{ t('firstRun.apart') }}</span>
      <span
        v-for="thing in things"
        :key="thing.name"
        class="thing"
        :class="{ mine: thing.name === hand?.name, shown: thing.name === shown }"
        role="cell"
      >
        <b>{{
          apart({
            ...thing.start,
            ...(thing.name === hand?.name ? read : {}),
          })
        }}</b>
      </span>
    </div>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 170px repeat(var(--things), minmax(0, 1fr));
  align-items: center;
  gap: 4px 14px;
  min-height: 38px;
  border-bottom: 1px solid var(--rule);
}
.heads {
  align-items: end;
  border-bottom: 2px solid var(--ink);
}
.thing {
  min-width: 0;
  padding: 2px 6px;
  font-size: 18px;
}
.thing.mine {
  align-self: stretch;
  background: var(--ground);
}
.head b {
  display: flex;
  align-items: center;
  gap: 6px;
  font: 600 20px/1.2 var(--figures);
}
.thing small {
  display: block;
  font-size: 14px;
  color: var(--iron-soft);
}
.label {
  font-size: 16px;
}
.thing :deep(.reading > label),
.thing :deep(legend) {
  position: absolute;
  overflow: hidden;
  width: 1px;
  height: 1px;
  clip-path: inset(50%);
}
.thing :deep(.reading),
.thing :deep(.choice) {
  display: block;
  min-width: 0;
  padding: 0;
  border: 0;
}
.thing :deep(.box) {
  width: 100%;
}
.thing :deep(.box input) {
  width: 100%;
  min-width: 0;
}
@media (max-width: 640px) {
  .heads {
    grid-template-columns: repeat(var(--things), minmax(0, 1fr));
    gap: 2px;
  }
  .line:not(.heads) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  }
  .line:not(.heads) .thing:not(.shown),
  .line.bare,
  .heads .label {
    display: none;
  }
  .heads .shown {
    border-bottom: 3px solid var(--ink);
  }
  .heads .thing {
    padding: 2px;
  }
}
</style>
